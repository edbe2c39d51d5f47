import { inTurn } from '../../edits/circuit-verbs';
import type { Edited } from '../../house/edit';
import { switchingSchema, type House, type Switching } from '../../house/schema';
import type { NewId } from '../../house/new-box';
import type { Result } from '../../units/result';
import { drawnGroups, type StandardChange } from './standard-change';
import { closetChanges } from './standard-closets';
import { fanChanges } from './standard-fans';
import { outdoorChanges } from './standard-outdoors';
import { bedsideChanges, spareChanges } from './standard-places';

/** One question of switching that the code leaves to the firm. */
interface SwitchingStandard {
  readonly field: keyof Switching;
  readonly question: string;
  readonly answers: readonly { readonly value: string; readonly word: string; readonly why: string }[];
}

/** *Common practice*: each has its followers, none is the code's. */
export const SWITCHING_STANDARDS: readonly SwitchingStandard[] = [
  {
    field: 'fans',
    question: 'Ceiling fan and its light',
    answers: [
      { value: 'apart', word: 'each its own switch', why: 'Three-conductor cable to the fan; air without light.' },
      { value: 'together', word: 'one switch', why: 'One gang; pull chains or a remote part them.' },
    ],
  },
  {
    field: 'bathFans',
    question: 'Bath fan and light',
    answers: [
      { value: 'apart', word: 'each its own switch', why: 'The fan runs on when the light is off, and not at night.' },
      { value: 'together', word: 'one switch', why: 'Nobody forgets to run the fan.' },
    ],
  },
  {
    field: 'closets',
    question: 'Closet lights',
    answers: [
      { value: 'wall', word: 'wall switch', why: 'Plain, and found in the dark.' },
      { value: 'door-jamb', word: 'switch in the door jamb', why: 'Light with the door; off when it is shut.' },
      { value: 'occupancy', word: 'occupancy sensor', why: 'Nobody leaves it on. Its electronics need a neutral.' },
    ],
  },
  {
    field: 'outdoors',
    question: 'Outdoor lights',
    answers: [
      { value: 'by-hand', word: 'wall switch only', why: 'Light when somebody wants it.' },
      {
        value: 'astronomic',
        word: 'astronomic timer',
        why: 'In the wall; dusk to bedtime by itself; its button is the manual way.',
      },
      {
        value: 'dusk',
        word: 'dusk sensor in the light',
        why: 'Dark to dawn by itself; the wall switch ahead of it is the manual way.',
      },
    ],
  },
  {
    field: 'bedside',
    question: 'Bedside switch for the room light',
    answers: [
      { value: 'no', word: 'none', why: 'Saves a three-way and its travelers.' },
      {
        value: 'yes',
        word: 'three-way by the pillow',
        why: 'Nobody walks back to bed in the dark. Needs a bed in the plan.',
      },
    ],
  },
  {
    field: 'spareGang',
    question: 'Spare gang',
    answers: [
      { value: 'no', word: 'none', why: 'Each box as large as it has to be.' },
      { value: 'entries', word: 'at outside doors', why: 'Somebody always adds a light outside.' },
    ],
  },
];

const usual = switchingSchema.parse({});
/** The shop standards of switching in force. */
export const switchingOf = ({ standards }: Pick<House, 'standards'>): Switching => standards.switching ?? usual;

/**
 * What is drawn otherwise than the shop standards of switching would have it, each as a change that can be taken by itself.
 * What a group is besides (dimmers, smart switches, several places) stays.
 */
export function compareWithStandards(house: House): readonly StandardChange[] {
  const standards = switchingOf(house);
  const drawn = drawnGroups(house);
  const found = [
    ...fanChanges(drawn, standards),
    ...closetChanges(house, drawn, standards.closets),
    ...outdoorChanges(drawn, standards.outdoors),
    ...(standards.bedside === 'yes' ? bedsideChanges(house, drawn) : []),
    ...(standards.spareGang === 'entries' ? spareChanges(house) : []),
  ];
  return [...new Map(found.map((one) => [one.id, one])).values()];
}

/** Several changes as one edit, each on what the one before has left. */
export const applyStandards = (house: House, changes: readonly StandardChange[], newId: NewId): Result<Edited> =>
  inTurn(
    changes.length === 1 ? 'Apply a shop standard' : 'Apply the shop standards of switching',
    house,
    changes.map((one) => (now: House) => one.apply(now, newId)),
  );
