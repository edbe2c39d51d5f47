import {
  checkHouse,
  leaveHousesUnfrozen,
  signedFor,
  undoOf,
  validateHouse,
  type Edit,
  type Edited,
  type House,
  type HouseCheck,
  type Result,
  applyEdit,
} from '@winculum/core';
import type { AppliedBatch, StreamHello } from '@winculum/contract';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, shallowRef } from 'vue';
import { api, ApiError } from '../api';
import { openCopies, type Copy } from '../sync/device-store';
import { HouseSync, type SendFailure, type SyncDependencies, type SyncState } from '../sync/house-sync';
import { useNotices } from './notices';
import { useSession } from './session';
import { today } from '../today';
import { useView } from './view';

// markRaw does nothing on frozen objects, and a House that Vue walks through is many times slower. Said here and not where the
// interface begins, since the core is not needed before a house is opened.
leaveHousesUnfrozen();

const FIRST_TRY_MS = 2_000;
const LONGEST_TRY_MS = 30_000;

function asFailure(error: unknown): SendFailure {
  if (!(error instanceof ApiError)) throw error;
  if (error.status === 401 || error.body?.code === 'csrf' || error.body?.code?.startsWith('must-'))
    return { kind: 'signed-out' };
  if (error.status === 0 || error.status >= 500 || error.status === 429) return { kind: 'unreachable' };
  const code = error.body?.code;
  return {
    kind: 'refused',
    reason: error.message,
    theirs: error.body?.theirs ?? [],
    ...(code === 'restored' || code === 'history-gone' ? { cause: code } : {}),
  };
}

/** The open house: the document, what the code says of it, its edits with undo, and its sync. */
export const useHouse = defineStore('house', () => {
  const id = ref('');
  const house = shallowRef<House | null>(null);
  const syncState = ref<SyncState>({ kind: 'saved' });
  const problem = ref('');
  const undoStack = shallowRef<readonly Edit[]>([]);
  const redoStack = shallowRef<readonly Edit[]>([]);
  const session = useSession();
  const view = useView();
  /** Counts openings and closings: who had to wait sees by it that another house, or none, is wanted by now. */
  let turn = 0;
  let sync: HouseSync | undefined;
  /** What closed windows of this house left waiting on this device, each sent on its own. */
  let leftBehind: readonly HouseSync[] = [];
  let events: EventSource | undefined;

  /** The open house, for whatever is only shown while one is open. @throws where none is. */
  const current = computed((): House => {
    if (!house.value) throw new Error('No house is open');
    return house.value;
  });
  const check = computed<HouseCheck | null>(() => (house.value ? markRaw(checkHouse(house.value)) : null));
  const canEdit = computed(() => session.signedIn?.role !== 'viewer');

  /** How long until a stream that was refused is asked for again; longer each time. */
  let nextTryMs = FIRST_TRY_MS;
  let nextTry: ReturnType<typeof setTimeout> | undefined;

  function connect(houseId: string): void {
    clearTimeout(nextTry);
    events?.close();
    const stream = new EventSource(`/api/houses/${houseId}/events?after=${sync?.version ?? 0}`);
    events = stream;
    stream.addEventListener('hello', (event) => {
      nextTryMs = FIRST_TRY_MS;
      sync?.meet(JSON.parse((event as MessageEvent<string>).data) as StreamHello);
      flush();
    });
    stream.addEventListener('batch', (event) => {
      const batch = JSON.parse((event as MessageEvent<string>).data) as AppliedBatch;
      sync?.receive(batch);
      // What was said or given out may be meant for the person who sits here.
      const isTold = ({ path: [first] }: { readonly path: readonly unknown[] }) =>
        first === 'comments' || first === 'tasks';
      if (batch.edits.some((one) => one.patches.some(isTold))) void useNotices().load();
    });
    // The browser asks again by itself after a lost connection, but not after an answer that was no stream.
    stream.addEventListener('error', () => {
      if (stream.readyState === EventSource.CLOSED && events === stream) connectLater(houseId);
    });
  }

  function connectLater(houseId: string): void {
    nextTry = setTimeout(() => void connectAgain(houseId), nextTryMs);
    nextTryMs = Math.min(LONGEST_TRY_MS, nextTryMs * 2);
  }

  /** Asks for the stream again, once it is known that somebody is signed in. */
  async function connectAgain(houseId: string): Promise<void> {
    const mine = turn;
    const isSignedIn = await session.refresh().catch(() => undefined);
    if (mine !== turn) return;
    if (isSignedIn === false) sync?.signedOut();
    else connect(houseId);
  }

  /** Goes on after the person has signed in again: what waited is sent. */
  function goOn(): void {
    if (!id.value) return;
    connect(id.value);
    flush();
  }

  const linkTo = (houseId: string): Pick<SyncDependencies, 'send' | 'newBatchId' | 'later'> => ({
    send: async (batch) => {
      try {
        return { ok: true, answer: await api.sendBatch(houseId, batch) };
      } catch (error) {
        const failure = asFailure(error);
        // A new token is all that is missing when the server was restarted or the session renewed.
        const isBack = failure.kind === 'signed-out' && (await session.refresh().catch(() => false));
        return { ok: false, failure: isBack && !session.signedIn?.mustDo ? { kind: 'unreachable' } : failure };
      }
    },
    newBatchId: () => crypto.randomUUID(),
    later: (milliseconds, run) => {
      const timer = setTimeout(run, milliseconds);
      return () => clearTimeout(timer);
    },
  });

  /** Opens a house: what waits on this device first, else what the server has, else the last copy kept here. */
  async function open(houseId: string): Promise<void> {
    close();
    const mine = turn;
    id.value = houseId;
    const copies = await openCopies(session.signedIn?.user.id ?? '', houseId).catch(() => undefined);
    let start = copies?.mine;
    if (!start) {
      try {
        const state = await api.loadHouse(houseId);
        const read = validateHouse(state.house);
        if (!read.ok) throw new Error(read.problems[0]?.message);
        start = { version: state.version, house: read.value, pending: [], sending: null, epoch: state.epoch };
        // What was opened once opens again without a network.
        void copies?.write(start).catch(() => undefined);
      } catch (error) {
        if (!copies?.last || !(error instanceof ApiError) || error.status !== 0) throw error;
        start = copies.last;
      }
    }
    if (mine !== turn) return;
    // Without a place on the device (it is full, or the window is a private one) the server still gets every edit.
    const keepsNothing = () => {
      problem.value = 'This device keeps nothing: close this window only when it says "Saved".';
    };
    sync = new HouseSync(
      {
        ...linkTo(houseId),
        store: async (next) => (copies ? copies.write(next).catch(keepsNothing) : keepsNothing()),
        onChange: (next, state) => {
          house.value = markRaw(next);
          syncState.value = state;
          if (state.kind === 'saved') sendLeft();
          // Nothing of this window's is at stake: it simply reads the house again.
          if (state.kind === 'conflict' && state.cause === 'history-gone' && state.mine.length === 0)
            void resolveConflict('theirs');
        },
      },
      start,
    );
    house.value = markRaw(sync.house);
    syncState.value = sync.state;
    connect(houseId);
    window.addEventListener('online', flush);
    leftBehind = (copies?.left ?? []).map((copy) => sendOn(houseId, copy));
    flush();
  }

  /** Sends what a closed window left; what the server refuses stays on the device, and is asked about at the next opening. */
  function sendOn(houseId: string, copy: Copy): HouseSync {
    return new HouseSync(
      {
        ...linkTo(houseId),
        store: (next) => (next.pending.length > 0 ? copy.write(next) : copy.forget()).catch(() => undefined),
        onChange: (_, state) => {
          if (state.kind === 'conflict')
            problem.value = `${state.mine.length === 1 ? 'An edit' : `${state.mine.length} edits`} of a window that was closed no longer fit. Open the house again once this window says "Saved", to choose.`;
        },
      },
      copy.stored,
    );
  }

  const sendLeft = () => leftBehind.forEach((one) => void one.flush());

  /** Own edits first, so that in a clash it is what was left behind that is asked about. */
  function flush(): void {
    void sync?.flush();
    if (sync?.state.kind === 'saved') sendLeft();
  }

  function close(): void {
    turn++;
    window.removeEventListener('online', flush);
    clearTimeout(nextTry);
    events?.close();
    [sync, ...leftBehind].forEach((one) => one?.stop());
    [sync, events, leftBehind] = [undefined, undefined, []];
    [house.value, undoStack.value, redoStack.value, problem.value] = [null, [], [], ''];
  }

  function commit(edited: Edited): void {
    if (!sync || edited.edit.patches.length === 0) return;
    sync.push(edited.house, edited.edit);
  }

  /** Why something was refused, for a field that says it itself: it is not shown a second time. */
  function takeProblem(): string {
    const said = problem.value;
    problem.value = '';
    return said;
  }

  /** While somebody places for an owner or designer, the boxes that come carry that name from the first tap. */
  function named(edited: Edited): Edited {
    const by = view.placingFor?.trim();
    if (!by || !house.value) return edited;
    const signed = signedFor(house.value, { ok: true, value: edited }, { by, date: today() });
    return signed.ok ? signed.value : edited;
  }

  /** Does what a verb of the core made, or shows why it was refused. */
  function apply(result: Result<Edited>): boolean {
    if (!canEdit.value) problem.value = 'Your role here is viewer: you can look, not change.';
    else if (!result.ok) problem.value = result.problems[0]!.message;
    else {
      problem.value = '';
      const edited = named(result.value);
      if (edited.edit.patches.length > 0) {
        undoStack.value = [...undoStack.value, edited.edit];
        redoStack.value = [];
      }
      commit(edited);
      return true;
    }
    return false;
  }

  function travel(from: typeof undoStack, to: typeof redoStack, word: string): void {
    const last = from.value.at(-1);
    if (!last || !house.value) return;
    const back = undoOf(last);
    const next = applyEdit(house.value, back.patches);
    if (!next.ok) {
      problem.value = `${word} is not possible any more: ${next.problems[0]!.message}`;
      return;
    }
    from.value = from.value.slice(0, -1);
    to.value = [...to.value, back];
    commit({ house: next.value, edit: { ...back, label: `${word} ${last.label.toLowerCase()}`.slice(0, 120) } });
  }

  async function resolveConflict(choice: 'mine' | 'theirs'): Promise<void> {
    const state = await api.loadHouse(id.value);
    const read = validateHouse(state.house);
    if (!read.ok || !sync) return;
    if (!sync.resolve(choice, { version: state.version, house: read.value, epoch: state.epoch }))
      problem.value = 'Your change no longer fits the house. Take theirs and make it again.';
    else if (choice === 'theirs') undoStack.value = [];
    connect(id.value);
  }

  return {
    id,
    house,
    current,
    check,
    syncState,
    problem,
    takeProblem,
    canEdit,
    undoStack,
    redoStack,
    open,
    close,
    apply,
    flush,
    goOn,
    resolveConflict,
    undo: () => travel(undoStack, redoStack, 'Undo'),
    redo: () => travel(redoStack, undoStack, 'Redo'),
  };
});
