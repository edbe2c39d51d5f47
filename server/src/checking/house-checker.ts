import { Worker } from 'node:worker_threads';
import type { Problem } from '@winculum/core';

export interface Question {
  readonly id: number;
  readonly text: string;
}

/** A house as it is stored: its name, and its text as the schema writes it. */
interface CheckedHouse {
  readonly ok: true;
  readonly name: string;
  readonly text: string;
}
export type Checked = CheckedHouse | { readonly ok: false; readonly problems: readonly Problem[] };
export type Answer = Checked & { readonly id: number };
/** Said once, when a thread has read its program. */
export const READY = 'ready';

interface Waiting extends Question {
  readonly answer: (checked: Checked) => void;
  /** What is said instead of an answer where the time is up. */
  timer?: NodeJS.Timeout;
}

const MOST_WAITING = 40;
/** A thread that has not read its program by then is given up, milliseconds: a machine may be slow, its houses are not. */
const STARTS_WITHIN_MS = 60_000;
/** Bundled beside this file; from source, as tests run it, through a loader. */
function startWorker(): Worker {
  const resourceLimits = { maxOldGenerationSizeMb: 512 };
  if (!import.meta.url.endsWith('.ts'))
    return new Worker(new URL('./house-worker.js', import.meta.url), { resourceLimits });
  const source = JSON.stringify(new URL('./house-worker.ts', import.meta.url).href);
  const load = `import('tsx/esm/api').then(({ register }) => (register(), import(${source})))`;
  return new Worker(load, { eval: true, resourceLimits });
}

const refusal = (code: string, message: string): Checked => ({ ok: false, problems: [{ code, path: '', message }] });

/** One thread that checks houses one after the other; made when it is first needed, and again when one took too long. */
class Thread {
  #worker: Worker | undefined;
  #isReady = false;
  #now: Waiting | undefined;
  readonly #queue: Waiting[] = [];

  constructor(private readonly budgetMs: number) {}

  get length(): number {
    return this.#queue.length + (this.#now ? 1 : 0);
  }

  ask(one: Waiting): void {
    this.#queue.push(one);
    this.#next();
  }

  #next(): void {
    if (this.#now) return;
    const one = this.#queue.shift();
    if (!one) return;
    this.#now = one;
    const worker = (this.#worker ??= this.#start());
    if (this.#isReady) this.#startClock(worker, one);
    else
      one.timer = setTimeout(() => {
        this.#end(worker);
        this.#settle(refusal('busy', 'The server starts slowly just now. Try again in a moment.'));
      }, STARTS_WITHIN_MS);
    worker.postMessage({ id: one.id, text: one.text } satisfies Question);
  }

  /** The budget is a house's own: what a thread takes to read its program is not counted. */
  #startClock(worker: Worker, one: Waiting): void {
    clearTimeout(one.timer);
    one.timer = setTimeout(() => {
      this.#end(worker);
      this.#settle(
        refusal(
          'too-long',
          `This house takes longer than ${this.budgetMs / 1000} s to check. Split it, or draw it more simply.`,
        ),
      );
    }, this.budgetMs);
  }

  #settle(checked: Checked): void {
    const one = this.#now;
    this.#now = undefined;
    clearTimeout(one?.timer);
    one?.answer(checked);
    this.#next();
  }

  #start(): Worker {
    const worker = startWorker();
    worker.unref();
    worker.on('message', (said: Answer | typeof READY) => {
      if (this.#worker !== worker) return;
      if (said === READY) {
        this.#isReady = true;
        if (this.#now) this.#startClock(worker, this.#now);
        return;
      }
      const { id, ...checked } = said;
      if (this.#now?.id === id) this.#settle(checked);
    });
    worker.on('error', () => {
      if (this.#worker !== worker) return;
      this.#end(worker);
      this.#settle(refusal('too-large', 'This house is too large to be checked. Split it in two.'));
    });
    return worker;
  }

  #end(worker: Worker): void {
    if (this.#worker === worker) [this.#worker, this.#isReady] = [undefined, false];
    void worker.terminate();
  }

  stop(): Promise<unknown> {
    return this.#worker?.terminate() ?? Promise.resolve();
  }
}

/** Checks whole houses in two threads beside the one that serves people, each within a budget of time. */
export class HouseChecker {
  readonly #threads: readonly Thread[];
  #ids = 0;

  constructor(budgetMs = 6_000) {
    this.#threads = [new Thread(budgetMs), new Thread(budgetMs)];
  }

  /** The text of a house file, read and checked whole; or what is wrong with it. */
  check(text: string): Promise<Checked> {
    const thread = this.#threads.toSorted((a, b) => a.length - b.length)[0]!;
    if (thread.length >= MOST_WAITING)
      return Promise.resolve(refusal('busy', 'Many houses are being checked just now. Try again in a moment.'));
    return new Promise((answer) => thread.ask({ id: ++this.#ids, text, answer }));
  }

  async stop(): Promise<void> {
    await Promise.all(this.#threads.map((one) => one.stop()));
  }
}
