import type {
  Batch,
  BatchAnswer,
  Bench,
  HouseState,
  HouseSummary,
  Member,
  ProblemBody,
  Revision,
  RevisionState,
  Role,
  SessionState,
  Signer,
} from '@winculum/contract';

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
const ANSWER_WITHIN_MS = 20_000;

async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
  const headers: Record<string, string> = { accept: 'application/json' };
  if (body !== undefined) headers['content-type'] = 'application/json';
  if (csrf) headers['x-csrf-token'] = csrf;
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers,
      body: body === undefined ? undefined : JSON.stringify(body),
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    });
  } catch {
    throw new ApiError(0, undefined);
  }
  if (response.status === 204) return undefined as T;
  const isJson = /json/.test(response.headers.get('content-type') ?? '');
  const answer: unknown = isJson ? await response.json().catch(() => undefined) : undefined;
  if (!response.ok) throw new ApiError(response.status, answer as ProblemBody | undefined);
  return answer as T;
}

async function keepToken(session: Promise<SessionState>): Promise<SessionState> {
  const state = await session;
  csrf = state.csrf;
  return state;
}

/** Every request that the interface makes. */
export const api = {
  session: () => keepToken(call<SessionState>('GET', '/session')),
  signIn: (email: string, password: string) => keepToken(call<SessionState>('POST', '/session', { email, password })),
  createAccount: (account: { firm: string; name: string; email: string; password: string }) =>
    keepToken(call<SessionState>('POST', '/accounts', account)),
  signOut: async () => {
    await call<void>('DELETE', '/session');
    csrf = null;
  },
  houses: () => call<HouseSummary[]>('GET', '/houses'),
  addHouse: (house: { name: string; edition: string } | { file: string }) =>
    call<HouseSummary>('POST', '/houses', house),
  loadHouse: (id: string) => call<HouseState>('GET', `/houses/${id}`),
  deleteHouse: (id: string) => call<void>('DELETE', `/houses/${id}`),
  sendBatch: (id: string, batch: Batch) => call<BatchAnswer>('POST', `/houses/${id}/edits`, batch),
  revisions: (id: string) => call<Revision[]>('GET', `/houses/${id}/revisions`),
  makeRevision: (id: string, revision: { version: number; note: string }) =>
    call<Revision>('POST', `/houses/${id}/revisions`, revision),
  openRevision: (id: string, number: number) => call<RevisionState>('GET', `/houses/${id}/revisions/${number}`),
  sign: (id: string, number: number, signature: { role: Signer; name: string; strokes: [number, number][][] }) =>
    call<Revision>('POST', `/houses/${id}/revisions/${number}/signatures`, signature),
  bench: () => call<Bench>('GET', '/bench'),
  keepBench: (bench: Bench) => call<Bench>('PUT', '/bench', bench),
  members: () => call<Member[]>('GET', '/members'),
  addMember: (member: { name: string; email: string; password: string; role: Role }) =>
    call<Member>('POST', '/members', member),
  changeRole: (id: string, role: Role) => call<void>('PATCH', `/members/${id}`, { role }),
  removeMember: (id: string) => call<void>('DELETE', `/members/${id}`),
};
