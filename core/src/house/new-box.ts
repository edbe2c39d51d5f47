import type { Box, BoxPlace, BoxState } from './schema';
import type { Device } from './schema-equipment';

/** Gives a new id with a readable prefix; comes in as an argument so that the core stays without chance. */
export type NewId = (prefix: string) => string;

/** A box that is to be placed, before it has an id and a tag. */
export interface NewBox {
  readonly id: string;
  readonly room: string;
  readonly at: BoxPlace;
  readonly origin: Box['origin'];
  readonly devices: readonly Device[];
  readonly inCabinet?: boolean;
  /** It hangs on a bracket, since no stud stands where it must be. */
  readonly bracket?: boolean;
  readonly state?: BoxState;
  readonly note?: string;
}
