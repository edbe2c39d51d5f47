import { effectScope } from 'vue';
import { describe, expect, it } from 'vitest';
import { answerIn, useLongWork, type WorkerSays } from './long-work';

/** A worker whose thread is this one: it answers when told to. */
class NearWorker {
  onmessage: ((event: MessageEvent) => void) | null = null;
  onerror: ((event: ErrorEvent) => void) | null = null;
  ended = false;
  asked: unknown;
  postMessage(question: unknown): void {
    this.asked = question;
  }
  terminate(): void {
    this.ended = true;
  }
  say(data: WorkerSays<number>): void {
    this.onmessage!({ data } as MessageEvent);
  }
}

function setUp() {
  const workers: NearWorker[] = [];
  const problems: string[] = [];
  const scope = effectScope();
  const work = scope.run(() =>
    useLongWork<string, number>(
      () => {
        workers.push(new NearWorker());
        return workers.at(-1)!;
      },
      (message) => problems.push(message),
    ),
  )!;
  return { work, workers, problems, scope };
}

describe('long work', () => {
  it('shows how far it is, answers, and ends its worker', async () => {
    const { work, workers } = setUp();
    const answer = work.ask('how many');
    workers[0]!.say({ kind: 'progress', share: 0.5, what: 'half' });
    expect(work.progress.value).toMatchObject({ share: 0.5, what: 'half' });
    workers[0]!.say({ kind: 'done', answer: 42 });
    expect(await answer).toBe(42);
    expect([work.progress.value, workers[0]!.ended, workers[0]!.asked]).toEqual([null, true, 'how many']);
  });

  it.each([
    ['cancelled', ({ work }: ReturnType<typeof setUp>) => work.cancel()],
    ['asked again', ({ work }: ReturnType<typeof setUp>) => void work.ask('other')],
    ['left', ({ scope }: ReturnType<typeof setUp>) => scope.stop()],
  ])('answers nothing once it is %s', async (_, end) => {
    const all = setUp();
    const answer = all.work.ask('how many');
    end(all);
    expect(await answer).toBeUndefined();
    expect(all.workers[0]!.ended).toBe(true);
  });

  it('says what broke down', async () => {
    const { work, workers, problems } = setUp();
    const answer = work.ask('how many');
    workers[0]!.onerror!({ message: 'no' } as ErrorEvent);
    expect(await answer).toBeUndefined();
    expect(problems[0]).toContain('Nothing was changed');
  });

  it('answers in the worker, and does not flood the screen', () => {
    const said: WorkerSays<number>[] = [];
    const scope = {
      onmessage: null as ((event: MessageEvent<number>) => void) | null,
      postMessage: (one: WorkerSays<number>) => void said.push(one),
    };
    answerIn<number, number>(scope, (n, onProgress) => {
      for (let i = 0; i < n; i++) onProgress(i / n, 'on it');
      return n;
    });
    scope.onmessage!({ data: 5000 } as MessageEvent<number>);
    expect(said.at(-1)).toEqual({ kind: 'done', answer: 5000 });
    expect(said.length).toBeLessThan(20);
  });
});
