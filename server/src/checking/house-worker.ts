import { parentPort } from 'node:worker_threads';
import { readHouseFile } from '@winculum/core';
import type { Answer, Question, READY } from './house-checker';

/** Checks whole houses apart from the thread that serves people: a hostile or merely huge one keeps nobody waiting. */
parentPort!.on('message', ({ id, text }: Question) => {
  const read = readHouseFile(text);
  const answer: Answer = read.ok
    ? { id, ok: true, name: read.value.name, text: JSON.stringify(read.value) }
    : { id, ok: false, problems: read.problems.slice(0, 20) };
  parentPort!.postMessage(answer);
});
parentPort!.postMessage('ready' satisfies typeof READY);
