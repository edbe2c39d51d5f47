import { fromMemory } from '../rule';
import type { Outlet } from '../../circuits/outlets';
import type { Basis } from '../rule';

/** Whether an outlet needs a kind of protection, with section and reason. */
export type ProtectionDecision =
  | { readonly kind: 'required'; readonly section: string; readonly reason: string; readonly basis: Basis }
  | { readonly kind: 'not-required'; readonly reason: string }
  | { readonly kind: 'cannot-tell'; readonly section: string; readonly reason: string };

/** Whether the outlet was there before and stays as it is: the code of its day holds for it, until it is replaced. */
export const staysAsItIs = ({ box, device }: Pick<Outlet, 'box' | 'device'>): boolean =>
  box.state === 'existing' && !(device.kind === 'receptacle' && device.replaced);

/** Protection that a section asks for, and why; recalled *from memory*. */
export const required = (
  section: string,
  reason: string,
  confidence: 'high' | 'medium' = 'high',
): ProtectionDecision => ({
  kind: 'required',
  section,
  reason,
  basis: fromMemory(confidence),
});
