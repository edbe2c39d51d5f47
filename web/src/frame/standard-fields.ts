import {
  CIRCUIT_STANDARDS,
  edit,
  makeUpOf,
  planningOf,
  routingOf,
  SWITCHING_STANDARDS,
  switchingOf,
  type House,
} from '@winculum/core';

/** What a house holds as shop standards, one line each: which part of the standards it belongs to, how it is asked, read and written. */

type Standards = House['standards'];
export const STANDARD_PARTS = ['heights', 'circuits', 'switching', 'routes', 'make-up'] as const;
export type StandardPart = (typeof STANDARD_PARTS)[number];

interface Answer {
  readonly value: string;
  readonly word: string;
  readonly why?: string;
}
interface Asked<T> {
  readonly id: string;
  readonly part: StandardPart;
  readonly label: string;
  readonly read: (house: House) => T;
  /** Writes into a draft of the standards; what it needs besides, it reads from the house as it is. */
  readonly write: (draft: Standards, value: T, house: House) => void;
  /** Asked only where another standard makes it matter. */
  readonly when?: (house: House) => boolean;
}
export type StandardField =
  | (Asked<string> & { readonly kind: 'choice'; readonly answers: readonly Answer[] })
  | (Asked<number> & { readonly kind: 'length' })
  | (Asked<number> & { readonly kind: 'count'; readonly min: number; readonly max: number; readonly hint?: string });

/** What stands over the fields of a part. */
export const PART_LEADS: Readonly<Partial<Record<StandardPart, string>>> = {
  heights: 'From the finished floor to the center of the box.',
  circuits: 'The code leaves these to you. “Plan the circuits” follows them and shows what would change.',
  switching:
    '“Switch the house” follows them; “Compare with your practice” under Switching shows what is drawn differently.',
  routes:
    '“Find routes” follows the first; the lengths to cut hold the others. What is kept already stays where it is.',
};

type HeightKey = Extract<keyof Standards, `${string}In`>;
const height = (key: HeightKey, label: string): StandardField => ({
  id: key,
  part: 'heights',
  kind: 'length',
  label,
  read: ({ standards }) => standards[key] as number,
  write: (draft, value) => void ((draft as Record<HeightKey, unknown>)[key] = value),
});

const HEIGHTS: readonly StandardField[] = [
  height('receptacleHeightIn', 'Receptacles'),
  height('counterHeightIn', 'Over counters'),
  height('bathHeightIn', 'Bathrooms'),
  height('garageHeightIn', 'Garage'),
  height('laundryHeightIn', 'Laundry'),
  height('outdoorHeightIn', 'Outdoors'),
  height('switchHeightIn', 'Switches'),
  height('televisionHeightIn', 'Television'),
  height('deskHeightIn', 'Desks'),
  height('coveringIn', 'Wall covering'),
  height('switchFromJambIn', 'Switch from jamb'),
  {
    id: 'heightsTo',
    part: 'heights',
    kind: 'choice',
    label: 'Heights are marked to the',
    answers: [
      { value: 'bottom', word: 'bottom of the box' },
      { value: 'center', word: 'center of the box' },
      { value: 'top', word: 'top of the box' },
    ],
    read: ({ standards }) => standards.heightsTo,
    write: (draft, value) => (draft.heightsTo = value as Standards['heightsTo']),
  },
  {
    id: 'ceilingRows',
    part: 'heights',
    kind: 'choice',
    label: 'Rows of lights end',
    answers: [
      { value: 'half-at-walls', word: 'half a spacing at the walls' },
      { value: 'equal-divisions', word: 'in equal divisions' },
    ],
    read: ({ standards }) => standards.ceilingRows,
    write: (draft, value) => (draft.ceilingRows = value as Standards['ceilingRows']),
  },
  {
    id: 'appliances',
    part: 'heights',
    kind: 'choice',
    label: 'Appliances that are drawn',
    answers: [
      { value: 'connected', word: 'come with box and load' },
      { value: 'bare', word: 'are connected later' },
    ],
    read: ({ standards }) => standards.appliances ?? 'connected',
    write: (draft, value) => (draft.appliances = value as NonNullable<Standards['appliances']>),
  },
  {
    id: 'bedsides',
    part: 'heights',
    kind: 'choice',
    label: 'Receptacles at a bed',
    answers: [
      { value: 'both', word: 'one at each side' },
      { value: 'as-spaced', word: 'where spacing puts one' },
    ],
    read: ({ standards }) => standards.bedsides ?? 'both',
    write: (draft, value) => (draft.bedsides = value as NonNullable<Standards['bedsides']>),
  },
];

const setPlanning = (draft: Standards, house: House, changes: Record<string, unknown>): void =>
  void (draft.planning = { ...planningOf(house), ...changes });

const CIRCUITS: readonly StandardField[] = [
  ...CIRCUIT_STANDARDS.map(({ field, question, answers }): StandardField => ({
    id: field,
    part: 'circuits',
    kind: 'choice',
    label: question,
    answers,
    read: (house) => String(planningOf(house)[field]),
    write: (draft, value, house) => setPlanning(draft, house, { [field]: value }),
  })),
  {
    id: 'receptacleCount',
    part: 'circuits',
    kind: 'choice',
    label: 'Receptacles count',
    answers: [
      { value: 'yoke-80', word: '180 VA a yoke, at 80 %', why: 'Eight on 15 A, ten on 20 A.' },
      { value: 'yoke-100', word: '180 VA a yoke, at 100 %', why: 'Ten on 15 A, thirteen on 20 A.' },
      {
        value: 'area',
        word: 'by area, with a maximum count',
        why: 'In dwellings 220.14(J) counts them by floor area.',
      },
    ],
    read: ({ standards }) => standards.receptacleCount,
    write: (draft, value) => (draft.receptacleCount = value as Standards['receptacleCount']),
  },
  {
    id: 'maxReceptaclesPerCircuit',
    part: 'circuits',
    kind: 'count',
    label: 'Most receptacles on a circuit',
    min: 1,
    max: 60,
    when: ({ standards }) => standards.receptacleCount === 'area',
    read: ({ standards }) => standards.maxReceptaclesPerCircuit,
    write: (draft, value) => (draft.maxReceptaclesPerCircuit = value),
  },
  {
    id: 'lightsPerCircuit',
    part: 'circuits',
    kind: 'count',
    label: 'Most lights on a circuit',
    min: 4,
    max: 60,
    hint: 'One trip does not darken the house.',
    read: (house) => planningOf(house).lightsPerCircuit ?? 12,
    write: (draft, value, house) => setPlanning(draft, house, { lightsPerCircuit: value }),
  },
  {
    id: 'dropLoad',
    part: 'circuits',
    kind: 'choice',
    label: 'Voltage drop is reckoned with',
    answers: [
      { value: 'half-spread', word: 'half the rating, spread along', why: 'What an evening looks like.' },
      { value: 'far-end', word: '12 A at the farthest', why: 'A heater at the end of the run: stricter.' },
    ],
    read: ({ standards }) => standards.dropLoad ?? 'half-spread',
    write: (draft, value) => (draft.dropLoad = value as NonNullable<Standards['dropLoad']>),
  },
  {
    id: 'spareSpaces',
    part: 'circuits',
    kind: 'count',
    label: 'Spare spaces in the panel',
    min: 0,
    max: 20,
    hint: 'A circuit is always added later.',
    read: (house) => planningOf(house).spareSpaces,
    write: (draft, value, house) => setPlanning(draft, house, { spareSpaces: value }),
  },
];

const SWITCHING: readonly StandardField[] = SWITCHING_STANDARDS.map(({ field, question, answers }): StandardField => ({
  id: field,
  part: 'switching',
  kind: 'choice',
  label: question,
  answers,
  read: (house) => String(switchingOf(house)[field]),
  write: (draft, value, house) =>
    void (draft.switching = { ...switchingOf(house), [field]: value } as NonNullable<Standards['switching']>),
}));

type RoutingKey = keyof ReturnType<typeof routingOf>;
const routing = (key: RoutingKey, label: string): StandardField => ({
  id: key,
  part: 'routes',
  kind: 'length',
  label,
  read: (house) => routingOf(house)[key],
  write: (draft, value, house) => void (draft.routing = { ...routingOf(house), [key]: value }),
});
const ROUTES: readonly StandardField[] = [
  routing('lineIn', 'Run from stud to stud at'),
  routing('panelTailIn', 'Cable left in the panel'),
  routing('slackIn', 'Slack for each cable'),
];

const setMakeUp = (draft: Standards, house: House, changes: Record<string, unknown>): void =>
  void (draft.makeUp = { ...makeUpOf(house), ...changes });
const CLAMPS_WHY = 'Whether molded tabs are internal clamps (314.16(B)(2)) is read both ways.';

const MAKE_UP: readonly StandardField[] = [
  {
    id: 'feed',
    part: 'make-up',
    kind: 'choice',
    label: 'Devices',
    answers: [
      {
        value: 'pigtail',
        word: 'every one on a pigtail',
        why: 'The next receptacle stays live when this one fails; shared neutrals always take one (300.13(B)).',
      },
      { value: 'through', word: 'through its screws where two cables meet', why: 'Fewer connectors in the box.' },
    ],
    read: (house) => makeUpOf(house).feed,
    write: (draft, value, house) => setMakeUp(draft, house, { feed: value }),
  },
  {
    id: 'clamps',
    part: 'make-up',
    kind: 'choice',
    label: 'Clamps in plastic boxes',
    answers: [
      { value: 'multi-gang', word: 'count from two gangs on', why: CLAMPS_WHY },
      { value: 'always', word: 'always count', why: CLAMPS_WHY },
      { value: 'never', word: 'never count', why: CLAMPS_WHY },
    ],
    read: (house) => makeUpOf(house).clamps,
    write: (draft, value, house) => setMakeUp(draft, house, { clamps: value }),
  },
  {
    id: 'freeIn',
    part: 'make-up',
    kind: 'count',
    label: 'Free conductor, inches',
    min: 6,
    max: 24,
    hint: 'At least 6 by 300.14; most leave 8.',
    read: (house) => makeUpOf(house).freeIn,
    write: (draft, value, house) => setMakeUp(draft, house, { freeIn: value }),
  },
];

export const STANDARD_FIELDS: readonly StandardField[] = [...HEIGHTS, ...CIRCUITS, ...SWITCHING, ...ROUTES, ...MAKE_UP];

/** The house with one of its standards changed, as an Edit. */
export const writeStandard = (house: House, field: StandardField, value: string | number) =>
  edit(house, 'Change shop standards', (draft) => {
    (field.write as (draft: Standards, value: string | number, house: House) => void)(
      draft.standards as Standards,
      value,
      house,
    );
  });

/** The standards that hold every word that is typed, in what they ask, their answers or their reasons. */
export function findStandards(house: House, words: string): readonly StandardField[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return [];
  return STANDARD_FIELDS.filter((field) => {
    if (field.when && !field.when(house)) return false;
    const answers = field.kind === 'choice' ? field.answers.flatMap(({ word, why }) => [word, why ?? '']) : [];
    const text = [field.label, field.part, ...answers, field.kind === 'count' ? field.hint : '']
      .join(' ')
      .toLowerCase();
    return wanted.every((one) => text.includes(one));
  });
}
