import type {
  AccountState,
  AppliedBatch,
  AuditEntry,
  Batch,
  BatchAnswer,
  Bench,
  DeletedHouse,
  FirmStandards,
  FirmState,
  GuestLink,
  GuestRole,
  HouseState,
  HouseSummary,
  Invitation,
  Member,
  Notice,
  PracticeFigures,
  PracticeRecord,
  ProblemBody,
  Revision,
  RevisionState,
  Role,
  SecondFactorSecret,
  SessionInfo,
  SessionState,
  Signer,
} from '@winculum/contract';

import type { Job, Standards, Trade } from '@winculum/core';

/** An answer that was no success, or no answer at all (status 0). */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly body: ProblemBody | undefined,
  ) {
    super(body?.title ?? 'The server cannot be reached.');
  }
}

let csrf: string | null = null;
/** How far the clock of this device is from the server's, milliseconds; what is written down carries the day of this one. */
let clockOffMs = 0;
function readClock(response: Response): void {
  const there = Date.parse(response.headers.get('date') ?? '');
  if (!Number.isNaN(there)) clockOffMs = Date.now() - there;
}
export const hoursOff = (): number => clockOffMs / 3_600_000;
const ANSWER_WITHIN_MS = 20_000;
const PHOTO_WITHIN_MS = 60_000;

/** A body that is text already, and goes as it is. */
class AsItIs {
  constructor(readonly text: string) {}
}

async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
  const headers: Record<string, string> = { accept: 'application/json' };
  if (body !== undefined) headers['content-type'] = 'application/json';
  if (csrf) headers['x-csrf-token'] = csrf;
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers,
      body: body === undefined ? undefined : body instanceof AsItIs ? body.text : JSON.stringify(body),
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    });
  } catch {
    throw new ApiError(0, undefined);
  }
  readClock(response);
  if (response.status === 204) return undefined as T;
  const isJson = /json/.test(response.headers.get('content-type') ?? '');
  const answer: unknown = isJson ? await response.json().catch(() => undefined) : undefined;
  if (!response.ok) throw new ApiError(response.status, answer as ProblemBody | undefined);
  return answer as T;
}

/** A photo goes as it is, and comes as it is. */
async function sendPhoto(path: string, photo: Blob): Promise<void> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method: 'PUT',
      headers: { accept: 'application/json', 'content-type': 'image/jpeg', ...(csrf ? { 'x-csrf-token': csrf } : {}) },
      body: photo,
      signal: AbortSignal.timeout(PHOTO_WITHIN_MS),
    });
  } catch {
    throw new ApiError(0, undefined);
  }
  if (!response.ok)
    throw new ApiError(response.status, (await response.json().catch(() => undefined)) as ProblemBody | undefined);
}

async function keepToken(session: Promise<SessionState>): Promise<SessionState> {
  const state = await session;
  csrf = state.csrf;
  return state;
}

/** Every request that the interface makes. */
export const api = {
  session: () => keepToken(call<SessionState>('GET', '/session')),
  signIn: (input: { email: string; password: string; code?: string | undefined; trust?: boolean }) =>
    keepToken(call<SessionState>('POST', '/session', input)),
  confirm: (password: string) => call<void>('POST', '/session/confirm', { password }),
  /** Nobody is signed in by it where a letter has to be followed first. */
  createAccount: (account: { firm: string; name: string; email: string; password: string }) =>
    keepToken(call<SessionState>('POST', '/accounts', account)),
  verify: (token: string) => keepToken(call<SessionState>('POST', '/accounts/verify', { token })),
  askForReset: (email: string) => call<unknown>('POST', '/accounts/reset', { email }),
  resetPassword: (token: string, password: string) => call<void>('PUT', '/accounts/reset', { token, password }),
  invitation: (token: string) =>
    call<{ firm: string; name: string; email: string }>('GET', `/accounts/invitation?token=${token}`),
  join: (token: string, password: string) =>
    keepToken(call<SessionState>('POST', '/accounts/invitation', { token, password })),
  account: () => call<AccountState>('GET', '/account'),
  changePassword: (old: string, password: string) =>
    keepToken(call<SessionState>('PUT', '/account/password', { old, password })),
  sessions: () => call<SessionInfo[]>('GET', '/account/sessions'),
  endSession: (id: string) => call<void>('DELETE', `/account/sessions/${id}`),
  endOtherSessions: () => call<{ ended: number }>('DELETE', '/account/sessions'),
  newSecondFactor: () => call<SecondFactorSecret>('POST', '/account/second-factor'),
  turnOnSecondFactor: async (code: string) => {
    const done = await call<{ codes: string[]; session: SessionState }>('PUT', '/account/second-factor', { code });
    await keepToken(Promise.resolve(done.session));
    return done;
  },
  turnOffSecondFactor: () => call<void>('DELETE', '/account/second-factor'),
  signOut: async () => {
    await call<void>('DELETE', '/session');
    csrf = null;
  },
  houses: () => call<HouseSummary[]>('GET', '/houses'),
  addHouse: (house: { name: string; edition: string; job?: Partial<Omit<Job, 'edition'>> }) =>
    call<HouseSummary>('POST', '/houses', house),
  importHouse: (text: string) => call<HouseSummary>('POST', '/houses/file', new AsItIs(text)),
  deletedHouses: () => call<DeletedHouse[]>('GET', '/houses/deleted'),
  bringBack: (id: string) => call<void>('POST', `/houses/deleted/${id}`),
  archiveHouse: (id: string, archived: boolean) => call<void>('PUT', `/houses/${id}/archive`, { archived }),
  loadHouse: (id: string) => call<HouseState>('GET', `/houses/${id}`),
  deleteHouse: (id: string) => call<void>('DELETE', `/houses/${id}`),
  sendBatch: (id: string, batch: Batch) => call<BatchAnswer>('POST', `/houses/${id}/edits`, batch),
  history: (id: string, after: number) => call<AppliedBatch[]>('GET', `/houses/${id}/edits?after=${after}`),
  revisions: (id: string) => call<Revision[]>('GET', `/houses/${id}/revisions`),
  makeRevision: (id: string, revision: { version: number; note: string }) =>
    call<Revision>('POST', `/houses/${id}/revisions`, revision),
  openRevision: (id: string, number: number) => call<RevisionState>('GET', `/houses/${id}/revisions/${number}`),
  sign: (id: string, number: number, signature: { role: Signer; name: string; strokes: [number, number][][] }) =>
    call<Revision>('POST', `/houses/${id}/revisions/${number}/signatures`, signature),
  putPhoto: (id: string, photoId: string, photo: Blob) => sendPhoto(`/houses/${id}/photos/${photoId}`, photo),
  guests: (id: string) => call<GuestLink[]>('GET', `/houses/${id}/guests`),
  inviteGuest: (id: string, guest: { role: GuestRole; name: string; days: number; trade?: Trade }) =>
    call<GuestLink>('POST', `/houses/${id}/guests`, guest),
  withdrawGuest: (id: string, guestId: string) => call<void>('DELETE', `/houses/${id}/guests/${guestId}`),
  bench: () => call<Bench>('GET', '/bench'),
  keepBench: (bench: Bench) => call<Bench>('PUT', '/bench', bench),
  practice: () => call<PracticeRecord[]>('GET', '/practice'),
  signPractice: (id: string, shown: PracticeFigures, note: string) =>
    call<void>('POST', `/members/${id}/practice`, { shown, note }),
  members: () => call<Member[]>('GET', '/members'),
  notices: () => call<Notice[]>('GET', '/notices'),
  readNotices: (ids?: readonly string[]) => call<void>('POST', '/notices/seen', ids ? { ids } : {}),
  changeRole: (id: string, role: Role) => call<void>('PATCH', `/members/${id}`, { role }),
  removeMember: (id: string) => call<void>('DELETE', `/members/${id}`),
  invitations: () => call<Invitation[]>('GET', '/invitations'),
  invite: (person: { name: string; email: string; role: Role }) => call<Invitation>('POST', '/invitations', person),
  withdrawInvitation: (id: string) => call<void>('DELETE', `/invitations/${id}`),
  firm: () => call<FirmState>('GET', '/firm'),
  changeFirm: (settings: { trustDays: number; needsSecondFactor: boolean }) =>
    call<FirmState>('PUT', '/firm', settings),
  audit: (before?: string) => call<AuditEntry[]>('GET', `/firm/audit${before ? `?before=${before}` : ''}`),
  firmStandards: () => call<FirmStandards>('GET', '/firm/standards'),
  setFirmStandards: (standards: { version: number; standards: Standards }) =>
    call<FirmStandards>('PUT', '/firm/standards', standards),
  exportFirm: () => call<unknown>('GET', '/firm/export'),
  deleteFirm: (name: string) => call<void>('DELETE', '/firm', { name }),
};
