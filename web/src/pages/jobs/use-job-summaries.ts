import type { HouseSummary } from '@winculum/contract';
import type { JobSummary } from '@winculum/core';
import { shallowRef, type ShallowRef } from 'vue';
import { api, ApiError } from '../../api';
import { useSession } from '../../stores/session';
import { keepSummary, keptSummary } from '../../sync/device-store';
import { useLongWork } from '../../work/long-work';

/**
 * What the cards say of their houses. Read one house after the other in a worker, and kept on the device by the house's version: a
 * card that has been read once is there at once the next time.
 */
export function useJobSummaries(): {
  readonly summaries: Readonly<ShallowRef<ReadonlyMap<string, JobSummary>>>;
  readonly read: (houses: readonly HouseSummary[]) => Promise<void>;
} {
  const session = useSession();
  const summaries = shallowRef<ReadonlyMap<string, JobSummary>>(new Map());
  const work = useLongWork<unknown, JobSummary | undefined>(
    () => new Worker(new URL('./summary.worker.ts', import.meta.url), { type: 'module' }),
    () => undefined,
  );
  let turn = 0;

  function put(found: readonly (readonly [string, JobSummary])[]): void {
    summaries.value = new Map([...summaries.value, ...found]);
  }

  async function read(houses: readonly HouseSummary[]): Promise<void> {
    const mine = ++turn;
    const userId = session.signedIn?.user.id ?? '';
    const known = await Promise.all(
      houses.map(async ({ id, version }) => {
        const kept = await keptSummary(userId, id).catch(() => undefined);
        return kept?.version === version ? ([id, kept.summary] as const) : undefined;
      }),
    );
    if (mine !== turn) return;
    put(known.filter((one) => one !== undefined));
    for (const [i, { id, version }] of houses.entries()) {
      if (known[i]) continue;
      try {
        const state = await api.loadHouse(id);
        const summary = mine === turn ? await work.ask(state.house) : undefined;
        if (mine !== turn) return;
        if (!summary) continue;
        put([[id, summary]]);
        if (state.version >= version)
          await keepSummary(userId, id, { version: state.version, summary }).catch(() => undefined);
      } catch (error) {
        // Without the server the cards stay as bare as their list.
        if (error instanceof ApiError) return;
        throw error;
      }
    }
  }
  return { summaries, read };
}
