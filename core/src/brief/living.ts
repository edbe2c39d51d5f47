import { addEntity } from '../edits/verbs';
import type { NewId } from '../house/new-box';
import type { Edited } from '../house/edit';
import type { FeatureKind, House, LivingUse, Room, UseKind } from '../house/schema';
import { inRoom } from '../plan/room-view';
import { wallLoop, toLoop } from '../plan/wall-loop';
import { applyPreset } from '../proposals/layout/presets';
import { refuse, type Result } from '../units/result';
import { signedFor, unlessObjected } from './add-want';

/** One box of what a use requires, as a preset writes it, with the reason for device, place and height. */
interface UseLine {
  readonly text: string;
  readonly what: string;
  readonly why: string;
}
interface UseOfRoom {
  readonly name: string;
  /** What it stands at, where that is drawn. */
  readonly at: readonly FeatureKind[];
  readonly lines: readonly UseLine[];
}

/** What people do in rooms, and what each requires. Heights and offsets are *common practice*. */
export const USES: Readonly<Record<UseKind, UseOfRoom>> = {
  bed: {
    name: 'Sleeping',
    at: ['bed'],
    lines: [
      { text: 'R -40 16', what: 'Receptacle, left', why: 'Lamp and charger beside the bed, clear of the headboard.' },
      { text: 'R 40 16', what: 'Receptacle, right', why: 'The same on the other side.' },
      { text: 'S -36 30', what: 'Switch, left', why: 'The room’s light from the pillow: the hand finds 30 in.' },
      { text: 'S 36 30', what: 'Switch, right', why: 'Whoever reads longer puts it out.' },
    ],
  },
  'guest-bed': {
    name: 'Guests',
    at: ['bed', 'sofa'],
    lines: [
      {
        text: 'R -40 24',
        what: 'Receptacle',
        why: 'A guest charges a phone without moving the bed: 24 in is above the mattress edge.',
      },
      { text: 'R 40 24', what: 'Receptacle', why: 'Two guests, two phones.' },
    ],
  },
  desk: {
    name: 'Desk work',
    at: ['desk'],
    lines: [
      {
        text: 'R2 -16 32',
        what: 'Two duplexes, left',
        why: 'Computer, screen, lamp, charger: above the desk, no crawling.',
      },
      { text: 'R2 16 32', what: 'Two duplexes, right', why: 'Printer and what comes next.' },
      { text: 'D 0 32', what: 'Network', why: 'Calls hold on a wire.' },
    ],
  },
  television: {
    name: 'Television',
    at: ['tv', 'fireplace'],
    lines: [
      { text: 'R2 -4 62', what: 'Two duplexes behind the screen', why: 'No cord in sight.' },
      { text: 'D 4 62', what: 'Network behind the screen', why: 'A film at full rate.' },
      { text: 'R2 -20 16', what: 'Two duplexes below', why: 'Players, speakers, a bar.' },
    ],
  },
  gaming: {
    name: 'Gaming',
    at: ['tv', 'desk'],
    lines: [
      { text: 'R2 -12 24', what: 'Two duplexes', why: 'Console or computer, screen, lamp, charger.' },
      { text: 'D 12 24', what: 'Network', why: 'Delay is on the wireless.' },
    ],
  },
  sewing: {
    name: 'Sewing',
    at: ['desk', 'furniture'],
    lines: [
      { text: 'R2 -12 34', what: 'Two duplexes', why: 'Machine, lamp, serger: above the table.' },
      { text: 'R 36 34', what: 'Receptacle', why: 'An iron of 1,500 W beside it: the circuit is chosen for it.' },
    ],
  },
  exercise: {
    name: 'Exercise',
    at: ['furniture'],
    lines: [
      { text: 'R 0 16', what: 'Receptacle for the machine', why: 'A treadmill needs 20 A of its own.' },
      { text: 'R 14 62', what: 'Receptacle for a screen', why: 'At the height of the eyes when one runs.' },
    ],
  },
  music: {
    name: 'Music',
    at: ['furniture'],
    lines: [
      { text: 'R2 -16 16', what: 'Two duplexes', why: 'Amplifiers and keyboard from one circuit: no hum between two.' },
      { text: 'R2 16 16', what: 'Two duplexes', why: 'And the other player.' },
    ],
  },
  aquarium: {
    name: 'Aquarium',
    at: ['furniture'],
    lines: [{ text: 'R2 0 48', what: 'Two duplexes', why: 'Above the water, with a drip loop in every cord.' }],
  },
  reading: {
    name: 'Reading',
    at: ['sofa', 'furniture'],
    lines: [
      { text: 'R -30 16', what: 'Receptacle', why: 'Lamp beside the chair.' },
      { text: 'L 30 60', what: 'Wall light', why: 'Over the shoulder: 60 in to its middle.' },
    ],
  },
  baking: {
    name: 'Baking',
    at: ['counter', 'island'],
    lines: [{ text: 'R2 0 43', what: 'Two duplexes', why: 'Mixer and scale at the place where one stands.' }],
  },
  coffee: {
    name: 'Coffee',
    at: ['counter'],
    lines: [
      {
        text: 'R2 0 43',
        what: 'Two duplexes',
        why: 'Machine, grinder and kettle run at once: put them on both counter circuits.',
      },
    ],
  },
  charging: {
    name: 'Charging',
    at: ['counter', 'desk', 'furniture'],
    lines: [{ text: 'R2 0 43', what: 'Two duplexes', why: 'Phones and tools of the whole house in one place.' }],
  },
  vacuum: {
    name: 'Vacuum dock',
    at: [],
    lines: [{ text: 'R 0 16', what: 'Receptacle', why: 'The dock stays plugged in out of the way.' }],
  },
  ironing: {
    name: 'Ironing',
    at: ['washer', 'dryer'],
    lines: [{ text: 'R 60 44', what: 'Receptacle', why: 'A 1,500 W iron beside the board, not over the washer.' }],
  },
  woodwork: {
    name: 'Woodwork',
    at: ['furniture', 'desk'],
    lines: [
      {
        text: 'R2 -48 48',
        what: 'Two duplexes',
        why: 'Above a bench and above a sheet of plywood leaning on the wall.',
      },
      { text: 'R2 48 48', what: 'Two duplexes', why: 'On a second circuit: saw and collector run together.' },
    ],
  },
  'car-work': {
    name: 'Working on the car',
    at: [],
    lines: [
      { text: 'R2 0 48', what: 'Two duplexes', why: 'Trouble light, compressor, charger: at the front of the bay.' },
    ],
  },
  freezer: {
    name: 'Freezer',
    at: [],
    lines: [{ text: 'R 0 48', what: 'Receptacle', why: 'Seen, not behind it; nothing else on it.' }],
  },
  party: {
    name: 'Parties',
    at: [],
    lines: [{ text: 'R2 0 20', what: 'Two duplexes', why: 'Lights, music, a warming tray outside.' }],
  },
  gardening: {
    name: 'Gardening',
    at: [],
    lines: [{ text: 'R 0 20', what: 'Receptacle', why: 'Mower and trimmer without a cord through the door.' }],
  },
};

/** What of a use is set down: with one side of a bed only that side. */
export const linesOfUse = ({ kind, side }: Pick<LivingUse, 'kind' | 'side'>): readonly UseLine[] =>
  USES[kind].lines.filter((one) => {
    if (side !== 'left' && side !== 'right') return true;
    const offset = Number(one.text.split(' ')[1]);
    return side === 'left' ? offset <= 0 : offset >= 0;
  });

/** Places along the room's walls to try: at what the use stands at, then the middles of its walls, the longest first. */
function placesFor(house: House, room: Room, kinds: readonly FeatureKind[]): readonly number[] {
  const loop = wallLoop(room);
  const at = inRoom(house.features, room.id).flatMap((one) =>
    kinds.includes(one.kind) && one.at.kind === 'wall'
      ? [toLoop(loop, one.at.wall, one.at.alongIn + one.at.widthIn / 2)]
      : [],
  );
  const walls = loop.walls
    .filter((one) => one.boundary === 'solid')
    .toSorted((a, b) => b.lengthIn - a.lengthIn)
    .flatMap((one) => [1 / 2, 1 / 4, 3 / 4].map((share) => one.startIn + one.lengthIn * share));
  return [...at, ...walls];
}

/** Writes down that somebody uses a room so. */
export const addUse = (house: House, use: LivingUse): Result<Edited> => addEntity(house, 'uses', use);

/** Sets down what a use requires, at the first place where all of it fits and the code has nothing against it. */
export function placeUse(
  house: House,
  useId: string,
  placing: { readonly by: string; readonly date: string },
  newId: NewId,
): Result<Edited> {
  const use = house.uses[useId];
  const room = use && house.rooms[use.room];
  if (!use || !room) return refuse('missing', `uses.${useId}`, 'This use of a room is no longer there.');
  const preset = {
    name: USES[use.kind].name,
    text: linesOfUse(use)
      .map((one) => one.text)
      .join(', '),
  };
  let objection: Result<Edited> | undefined;
  for (const at of placesFor(house, room, USES[use.kind].at)) {
    const set = applyPreset(house, room.id, at, preset, newId);
    if (!set.ok) continue;
    const done = unlessObjected(house, room.id, signedFor(house, set, placing));
    if (done.ok) return done;
    objection ??= done;
  }
  return (
    objection ??
    refuse(
      'no-wall',
      `rooms.${room.id}`,
      `No wall of ${room.name} has room for all of it. Place it by hand with the preset under Boxes.`,
    )
  );
}
