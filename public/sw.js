// Keeps the page and what the bench read last, so that both come back without a connection. Nothing that is written
// passes through here: taps wait in the page until they can be sent.
const PAGE = 'ordotype-page';
const READ = 'ordotype-read';
// Who is signed in, the words of the screens, and the bench. Nothing that names a client.
const OF_THE_BENCH = /^\/api\/v1\/(session|vocabulary|bench(\/.*)?|batches(\/.*)?|units\/\d+\/gates)$/;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

/** The newest that can be had; what was had last where nothing can. */
async function newest(request, name, as = request) {
    const kept = await caches.open(name);
    try {
        const answer = await fetch(request);
        if (answer.ok) await kept.put(as, answer.clone());
        return answer;
    } catch (lost) {
        const before = await kept.match(as);
        if (before) return before;
        throw lost;
    }
}

/** Built files carry a hash in their names: what was had once is right for ever. */
async function once(request) {
    const kept = await caches.open(PAGE);
    const before = await kept.match(request);
    if (before) return before;
    const answer = await fetch(request);
    if (answer.ok) await kept.put(request, answer.clone());
    return answer;
}

self.addEventListener('fetch', (event) => {
    const { request } = event;
    const url = new URL(request.url);
    if (request.method !== 'GET' || url.origin !== self.location.origin) return;
    if (request.mode === 'navigate') event.respondWith(newest(request, PAGE, '/'));
    else if (url.pathname.startsWith('/build/')) event.respondWith(once(request));
    else if (OF_THE_BENCH.test(url.pathname)) event.respondWith(newest(request, READ));
});
