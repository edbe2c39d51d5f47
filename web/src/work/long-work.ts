import { onScopeDispose, shallowRef, type ShallowRef } from 'vue';

/** What a worker says while it is at long work, and at its end. */
export type WorkerSays<Answer> =
  | { readonly kind: 'progress'; readonly share: number; readonly what: string }
  | { readonly kind: 'done'; readonly answer: Answer };

export interface Progress {
  readonly share: number;
  readonly what: string;
}

interface LongWork<Question, Answer> {
  /** How far it is; null while nothing runs. */
  readonly progress: Readonly<ShallowRef<Progress | null>>;
  /** Asks the worker; a question still under way is given up. Undefined when it was cancelled or broke down. */
  ask(question: Question): Promise<Answer | undefined>;
  cancel(): void;
}

/** Long work in a worker of its own: with progress, and ended at once by cancelling, since its thread ends with it. */
export function useLongWork<Question, Answer>(
  start: () => Pick<Worker, 'postMessage' | 'terminate' | 'onmessage' | 'onerror'>,
  onProblem: (message: string) => void,
): LongWork<Question, Answer> {
  const progress = shallowRef<Progress | null>(null);
  let giveUp: (() => void) | undefined;
  const cancel = () => giveUp?.();
  onScopeDispose(cancel);

  function ask(question: Question): Promise<Answer | undefined> {
    cancel();
    return new Promise((resolve) => {
      const worker = start();
      const end = (answer?: Answer) => {
        worker.terminate();
        giveUp = undefined;
        progress.value = null;
        resolve(answer);
      };
      giveUp = () => end();
      progress.value = { share: 0, what: '' };
      worker.onmessage = (event: MessageEvent<WorkerSays<Answer>>) => {
        if (event.data.kind === 'progress') progress.value = event.data;
        else end(event.data.answer);
      };
      worker.onerror = (event) => {
        onProblem(
          `The work stopped on an error: ${event.message || 'its worker could not start'}. Nothing was changed.`,
        );
        end();
      };
      worker.postMessage(question);
    });
  }
  return { progress, ask, cancel };
}

/** The worker's side: answers each question, and says how far it is, but not more often than a screen can show. */
export function answerIn<Question, Answer>(
  scope: { onmessage: ((event: MessageEvent<Question>) => void) | null; postMessage(says: WorkerSays<Answer>): void },
  work: (question: Question, onProgress: (share: number, what: string) => void) => Answer,
): void {
  scope.onmessage = (event) => {
    let last = 0;
    const answer = work(event.data, (share, what) => {
      const now = Date.now();
      if (now - last < 50) return;
      last = now;
      scope.postMessage({ kind: 'progress', share, what });
    });
    scope.postMessage({ kind: 'done', answer });
  };
}
