import { planningSchema, type House, type Planning } from '../../house/schema';

/** One question that the code leaves to the firm, its answers, and why one would choose each. */
interface CircuitStandard {
  readonly field: Exclude<keyof Planning, 'spareSpaces' | 'lightsPerCircuit'>;
  readonly question: string;
  readonly answers: readonly { readonly value: string; readonly word: string; readonly why: string }[];
}

/** *Common practice*: each has its followers, none is the code's. */
export const CIRCUIT_STANDARDS: readonly CircuitStandard[] = [
  {
    field: 'wire',
    question: 'Wire',
    answers: [
      { value: 'fourteen', word: 'No. 14 on 15 A, No. 12 on 20 A', why: 'Cheaper, and easier to fold into a box.' },
      { value: 'twelve', word: 'No. 12 everywhere', why: 'One cable on the truck, fewer circuits, less voltage drop.' },
    ],
  },
  {
    field: 'lighting',
    question: 'Lighting',
    answers: [
      { value: 'apart', word: 'apart from receptacles', why: 'What trips a receptacle circuit leaves the light on.' },
      { value: 'by-room', word: 'room by room', why: 'One breaker makes one room dead; shorter cable.' },
    ],
  },
  {
    field: 'baths',
    question: 'Bathrooms',
    answers: [
      {
        value: 'each',
        word: 'each full bath its own',
        why: 'Two hair dryers of 1,875 W are 31 A: on one 20 A circuit they trip it. A half bath may share.',
      },
      { value: 'shared', word: 'one circuit for their receptacles', why: 'The least that 210.11(C)(3) requires.' },
    ],
  },
  {
    field: 'outside',
    question: 'Outdoor receptacles',
    answers: [
      { value: 'apart', word: 'on their own', why: 'A wet cord outside does not darken a room or stop a freezer.' },
      { value: 'with-garage', word: 'with the garage', why: 'Allowed by exception from 2017 on; saves a breaker.' },
    ],
  },
  {
    field: 'dishwasher',
    question: 'Dishwasher and disposer',
    answers: [
      {
        value: 'together',
        word: 'on one 20 A circuit',
        why: 'Both are fixed, nothing else is on it: 210.23 allows it.',
      },
      { value: 'apart', word: 'each its own', why: 'Their instructions often require it, and both may start at once.' },
    ],
  },
  {
    field: 'refrigerator',
    question: 'Refrigerator',
    answers: [
      {
        value: 'apart',
        word: 'on a circuit of its own',
        why: 'No kettle can stop it: 210.52(B)(1) Exception 2 allows an individual circuit of 15 A or more.',
      },
      { value: 'with-counter', word: 'with the counter', why: 'A small-appliance circuit feeds it: 210.52(B)(1).' },
    ],
  },
  {
    field: 'alarms',
    question: 'Alarms',
    answers: [
      { value: 'with-lighting', word: 'on a lighting circuit', why: 'People notice when it is dead, and mend it.' },
      { value: 'alone', word: 'alone', why: 'No lamp or tool can trip it.' },
    ],
  },
  {
    field: 'gfci',
    question: 'GFCI where no AFCI is required',
    answers: [
      {
        value: 'compare',
        word: 'receptacle or breaker, by price and reach',
        why: 'A receptacle first in line is cheaper and resets in the room; the breaker where it protects several rooms.',
      },
      {
        value: 'breaker',
        word: 'always the breaker',
        why: 'One place to look, and nothing that must stay first in line.',
      },
    ],
  },
];

const usual = planningSchema.parse({});
/** The shop standards in force. */
export const planningOf = ({ standards }: Pick<House, 'standards'>): Planning => standards.planning ?? usual;

/** Lights on one circuit at most where the firm has said nothing: *common practice*. */
const USUAL_LIGHTS = 12;
/** Share of a lighting circuit that one light takes by number. */
export const lightShare = (planning: Planning): number => 1 / (planning.lightsPerCircuit ?? USUAL_LIGHTS);
