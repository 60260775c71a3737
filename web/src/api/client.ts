import createClient, { type Middleware } from 'openapi-fetch';
import type { paths } from './schema';

/** What the server says when it refuses: RFC 9457, with a pointer to each field that is wrong. */
export interface ProblemBody {
    title: string;
    status: number;
    detail: string;
    errors: { pointer: string; detail: string }[];
    current?: Record<string, unknown>;
}

export class Problem extends Error {
    constructor(readonly body: ProblemBody) {
        super(body.detail);
    }

    get status(): number {
        return this.body.status;
    }

    /** Somebody else was quicker, or something stands in the way: the current state came along. */
    get current(): Record<string, unknown> | null {
        return this.status === 409 ? (this.body.current ?? null) : null;
    }
}

export const saysWhy = (error: unknown): string =>
    error instanceof Error ? error.message : 'That did not work.';

export const isMissing = (error: unknown): boolean => error instanceof Problem && error.status === 404;

function token(): string {
    const found = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie);
    return found?.[1] === undefined ? '' : decodeURIComponent(found[1]);
}

const isProblem = (read: unknown): read is ProblemBody =>
    typeof read === 'object' && read !== null && 'detail' in read && 'status' in read;

/** 128 random bits; also where the page has no TLS. */
export const fresh = (): string =>
    Array.from(crypto.getRandomValues(new Uint8Array(16)), (b) => b.toString(16).padStart(2, '0')).join('');

/** So long, in ms, a write waits before it is sent a second time. */
const AGAIN_MS = 400;

/**
 * A write whose answer was lost on the way may have been done: with its key it is sent once more, and the server does
 * it once.
 */
async function sent(request: Request): Promise<Response> {
    const again = request.headers.has('Idempotency-Key') ? request.clone() : null;
    try {
        return await fetch(request);
    } catch (lost) {
        if (!again) throw lost;
        await new Promise((wait) => setTimeout(wait, AGAIN_MS));
        return fetch(again);
    }
}

/** The client does not throw by itself: what is refused becomes a typed error here, once. */
const refusals: Middleware = {
    onRequest({ request }) {
        request.headers.set('Accept', 'application/json');
        request.headers.set('X-XSRF-TOKEN', token());
        if (request.method !== 'GET' && !request.headers.has('Idempotency-Key'))
            request.headers.set('Idempotency-Key', fresh());
        return request;
    },
    async onResponse({ response }) {
        if (response.ok) return;
        const read: unknown = await response.json().catch(() => null);
        throw new Problem(
            isProblem(read)
                ? read
                : {
                      title: 'Something broke',
                      status: response.status,
                      detail: `The server answered ${response.status} without saying why.`,
                      errors: [],
                  },
        );
    },
    onError() {
        return new Problem({
            title: 'No connection',
            status: 0,
            detail: 'The server cannot be reached. Nothing was lost: try again when the connection is back.',
            errors: [],
        });
    },
};

export const client = createClient<paths>({ baseUrl: '/api/v1', credentials: 'same-origin', fetch: sent });
client.use(refusals);

/** The answer itself. */
export async function given<T>(answer: Promise<{ data?: T }>): Promise<T> {
    const { data } = await answer;
    if (data === undefined) {
        throw new Problem({
            title: 'No answer',
            status: 0,
            detail: 'The server gave an empty answer. Try again.',
            errors: [],
        });
    }
    return data;
}

/** A file as it is, so that what is wrong in it is said by the server with its place. */
export const asText = (text: string) => ({
    body: text as never,
    bodySerializer: () => text,
    headers: { 'Content-Type': 'application/json' },
});
