import type { Basis } from '../rule';

/** Whether an outlet needs a kind of protection, with section and reason. */
export type Decision =
  | { readonly kind: 'required'; readonly section: string; readonly reason: string; readonly basis: Basis }
  | { readonly kind: 'not-required'; readonly reason: string }
  | { readonly kind: 'cannot-tell'; readonly section: string; readonly reason: string };
