// Writes the words that are guessed first, most likely ones first: what zxcvbn knows of passwords, words and names.
// They are no part of the repository; the build puts them where the server looks (App\Studio\Guessing).
import { createRequire } from 'node:module';
import { writeFileSync } from 'node:fs';

const file = createRequire(import.meta.url).resolve('zxcvbn/lib/frequency_lists.js');
const lists = Object.values(createRequire(file)(file)).map((list) => (Array.isArray(list) ? list : list.split(',')));
const longest = Math.max(...lists.map((list) => list.length));
const words = new Set();
for (let rank = 0; rank < longest; rank++)
    for (const list of lists) if (list[rank]?.length > 2) words.add(list[rank]);
writeFileSync(new URL('../resources/guessed-first.txt', import.meta.url), `${[...words].join('\n')}\n`);
