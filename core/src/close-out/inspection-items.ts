import { unseenIn } from '../makeup/unseen';
import { wireHouse } from '../makeup/make-up';
import { boxFill } from '../makeup/box-fill';
import { BOX_PROGRESS, type Box, type Edition, type House, type Inspection } from '../house/schema';
import { checkHouse, type Finding } from '../nec/check-house';
import { rules } from '../nec/rules';
import { count } from '../units/count';
import type { PacketLine } from './inspection-packet';
import { stateOf, testScript, type StepKind } from './test-script';
import { given } from '../units/result';

type Visit = Inspection['kind'];

/** What the tool knows of an item before anybody looks. */
interface Known {
  readonly measured: string;
  /** As a line of the packet; `todo` is ours to do or to tick before the inspector comes. */
  readonly state: PacketLine['state'] | 'todo';
}
/** What an item is judged by; rooms are those of a partial inspection. */
interface Sight {
  readonly house: House;
  readonly findings: readonly Finding[];
  readonly isIn: (room: string | undefined) => boolean;
}

interface Item {
  readonly id: string;
  readonly visit: Visit;
  readonly asks: string;
  /** The section, and the edition from which it is another one. */
  readonly section: string | ((edition: Edition) => string);
  /** What is drawn says of it; undefined where there is nothing of the kind in this house. Left out: the inspector alone sees it. */
  readonly know?: (sight: Sight) => Known | undefined;
}

/** One line of an inspection: what is looked at, and how it stands before the inspector comes. */
export interface InspectionItem extends Known {
  readonly id: string;
  readonly asks: string;
  readonly section: string;
}

const roomOf = (house: House, { where }: Finding): string | undefined =>
  where.room ?? (where.box ? house.boxes[where.box]?.room : undefined);

const RULE_IDS: ReadonlySet<string> = new Set(rules.map((one) => one.id));
/** By the verdicts of rules. A house that has nothing that they look at has no such line. */
function byRules(...ids: readonly string[]): (sight: Sight) => Known | undefined {
  // A line that read a rule that is not there would never be found failing.
  for (const id of ids) if (!RULE_IDS.has(id)) throw new Error(`no rule is called ${id}`);
  return ({ house, findings, isIn }) => {
    const here = findings.filter((one) => ids.includes(one.ruleId) && isIn(roomOf(house, one)));
    if (here.length === 0) return undefined;
    const of = (kind: Finding['kind'], severity?: Finding['severity']) =>
      here.filter((one) => one.kind === kind && (!severity || one.severity === severity)).length;
    const violations = of('fail', 'violation');
    const [open, cautions] = [of('cannot-tell'), of('fail') - violations];
    if (violations > 0) return { state: 'fails', measured: count(violations, 'violation') };
    if (open > 0) return { state: 'open', measured: `${count(open, 'place')} where the tool cannot tell` };
    if (cautions > 0) return { state: 'caution', measured: `${count(cautions, 'place')} to look at` };
    return { state: 'met', measured: `met in ${count(here.length, 'place')}` };
  };
}

const isOurs = ({ state }: Box): boolean => state !== 'existing' && state !== 'future';
const byProgress =
  (step: (typeof BOX_PROGRESS)[number], word: string) =>
  ({ house, isIn }: Sight): Known | undefined => {
    const boxes = Object.values(house.boxes).filter((box) => isOurs(box) && isIn(box.room));
    const done = boxes.filter(
      ({ progress }) => progress && BOX_PROGRESS.indexOf(progress) >= BOX_PROGRESS.indexOf(step),
    );
    if (boxes.length === 0) return undefined;
    return {
      state: done.length === boxes.length ? 'met' : 'todo',
      measured: `${done.length} of ${count(boxes.length, 'box', 'boxes')} ${word}`,
    };
  };

const bySteps =
  (...kinds: readonly StepKind[]) =>
  ({ house, isIn }: Sight): Known | undefined => {
    const steps = testScript(house).filter((one) => kinds.includes(one.kind) && isIn(one.room?.id));
    if (steps.length === 0) return undefined;
    const states = steps.map((one) => stateOf(one, house.results[one.id]));
    const [right, wrong] = [
      states.filter((one) => one === 'right').length,
      states.filter((one) => one === 'wrong').length,
    ];
    return {
      state: wrong > 0 ? 'fails' : right === steps.length ? 'met' : 'todo',
      measured: `${right} of ${count(steps.length, 'test')} right${wrong > 0 ? `, ${wrong} wrong` : ''}`,
    };
  };

const byFill = ({ house, isIn }: Sight): Known | undefined => {
  const fills = [...wireHouse(house).boxes.values()].filter((one) => isIn(one.box.room) && unseenIn(one) === 'none');
  if (fills.length === 0) return undefined;
  const fits = fills.map((one) => boxFill(house, one).fits);
  const tooFull = fits.filter((one) => one === false).length;
  const unknown = fits.filter((one) => one === undefined).length;
  if (tooFull > 0) return { state: 'fails', measured: `${count(tooFull, 'box', 'boxes')} too full` };
  if (unknown > 0) return { state: 'open', measured: `${count(unknown, 'box', 'boxes')} whose volume is not known` };
  return { state: 'met', measured: `${count(fills.length, 'box', 'boxes')} fit` };
};

/** Boxes that wait for a decision are not final: the inspector is told. */
const byOpenEnds = ({ house, isIn }: Sight): Known | undefined => {
  const open = Object.values(house.boxes).filter(
    (box) => isIn(box.room) && (box.state === 'undecided' || box.state === 'held' || box.state === 'not-delivered'),
  );
  return open.length > 0 ? { state: 'open', measured: `${count(open.length, 'box', 'boxes')} not decided` } : undefined;
};

/**
 * What a residential inspector looks at, in the order of the walk. Sections from memory, high, but for those of the IRC: medium; which of
 * them are looked at is *common practice*, and the authority's own list comes first.
 */
const ITEMS: readonly Item[] = [
  { id: 'r-work', visit: 'rough', asks: 'Neat work; unused openings of boxes closed', section: '110.12' },
  {
    id: 'r-placed',
    visit: 'rough',
    asks: 'Receptacles along the walls and at the counters',
    section: '210.52',
    know: byRules(
      'wall-receptacle-spacing',
      'counter-receptacle-spacing',
      'island-receptacle',
      'bathroom-basin-receptacle',
      'hallway-receptacle',
      'foyer-receptacle',
      'laundry-receptacle',
      'basement-receptacle',
      'garage-receptacle',
      'outdoor-receptacles',
      'porch-receptacle',
      'accessory-receptacle',
    ),
  },
  {
    id: 'r-lights',
    visit: 'rough',
    asks: 'Lights, and switches where one comes in and at both ends of stairs',
    section: '210.70',
    know: byRules('lighting-outlet', 'lighting-exterior-door', 'lighting-storage-spaces', 'stair-switches'),
  },
  {
    id: 'r-support',
    visit: 'rough',
    asks: 'Boxes fastened, flush with the finished wall, and for what hangs on them',
    section: '314.20, 314.23, 314.27',
    know: byRules('box-support', 'box-covering', 'box-in-wall', 'box-on-stud'),
  },
  { id: 'r-fill', visit: 'rough', asks: 'Box fill', section: '314.16', know: byFill },
  {
    id: 'r-made-up',
    visit: 'rough',
    asks: 'Grounds spliced in every box, 6 in of free conductor, sheath inside the box',
    section: '250.148, 300.14, 314.17',
    know: byProgress('made-up', 'made up'),
  },
  {
    id: 'r-support-cable',
    visit: 'rough',
    asks: 'Cables held within 12 in of a box (8 in of a small one without clamps) and every 4½ ft',
    section: '334.30, 314.17',
  },
  {
    id: 'r-holes',
    visit: 'rough',
    asks: 'Holes 1¼ in from the edge or behind a plate; joists and studs not weakened',
    section: '300.4, IRC R502.8, R602.6',
    know: byRules('stud-holes', 'joist-holes', 'steel-studs'),
  },
  {
    id: 'r-kind',
    visit: 'rough',
    asks: 'The cable of its place: wet, in the ground, attic, exposed',
    section: '334.10, 334.12, 334.23',
    know: byRules('cable-outside-framing', 'attic-cable', 'exposed-cable', 'circuit-in-ground'),
  },
  {
    id: 'r-fire',
    visit: 'rough',
    asks: 'Bored plates sealed; walls to the garage and between dwellings closed around boxes',
    section: 'IRC R302.11, R302.4, R302.5',
    know: byRules('fire-separation', 'unit-wall-boxes'),
  },
  {
    id: 'r-circuits',
    visit: 'rough',
    asks: 'Circuits of kitchen, bath, laundry and garage; appliances on their own',
    section: '210.11(C), 210.52(B), 110.3(B)',
    know: byRules(
      'small-appliance-circuits',
      'small-appliance-only',
      'small-appliance-receptacles',
      'bathroom-circuit',
      'laundry-circuit',
      'garage-circuit',
      'individual-circuit',
    ),
  },
  {
    id: 'r-size',
    visit: 'rough',
    asks: 'Conductors that their breakers guard',
    section: '240.4(D), 210.19, 210.20',
    know: byRules('conductor-size', 'circuit-overload', 'continuous-loads', 'appliance-overcurrent'),
  },
  {
    id: 'r-alarms',
    visit: 'rough',
    asks: 'Smoke and carbon monoxide alarms: their places, and the cable that joins them',
    section: 'IRC R314, R315',
    know: byRules('smoke-alarms', 'co-alarms', 'alarm-interconnection', 'alarm-clearance'),
  },
  {
    id: 'r-panel',
    visit: 'rough',
    asks: 'Panel: its place, its working space, two-wire and shared neutrals apart',
    section: '110.26, 240.24, 210.4',
    know: byRules('panel-working-space', 'panel-place', 'multiwire-circuit'),
  },
  {
    id: 'r-electrode',
    visit: 'rough',
    asks: 'Grounding electrodes, seen before the concrete; water and gas pipes bonded',
    section: '250.50, 250.66, 250.104',
    know: byRules('grounding-electrodes', 'pipe-bonding', 'building-electrode'),
  },
  {
    id: 'r-insulation',
    visit: 'rough',
    asks: 'Recessed luminaires where insulation will lie; boxes and cans tight to the air',
    section: '410.116, IRC N1102.4',
    know: byRules('insulation-contact'),
  },
  { id: 'r-open', visit: 'rough', asks: 'What is not decided yet', section: 'common practice', know: byOpenEnds },

  {
    id: 'f-trim',
    visit: 'final',
    asks: 'Devices and plates in place, flush and tight; no box open',
    section: '406.5, 406.6, 404.9, 314.25',
    know: byProgress('trimmed', 'trimmed'),
  },
  {
    id: 'f-polarity',
    visit: 'final',
    asks: 'Polarity and ground at every receptacle',
    section: '406.4, 200.11',
    know: bySteps('receptacle'),
  },
  {
    id: 'f-gfci',
    visit: 'final',
    asks: 'GFCI where it is required, and each one trips',
    section: '210.8',
    know: (sight) => worseOf(byRules('gfci-protection')(sight), bySteps('gfci')(sight)),
  },
  {
    id: 'f-afci',
    visit: 'final',
    asks: 'AFCI where it is required; breakers open by their buttons and feed what the directory says',
    section: '210.12, 408.4(A)',
    know: (sight) => worseOf(byRules('afci-protection', 'extended-circuit')(sight), bySteps('breaker')(sight)),
  },
  {
    id: 'f-receptacles',
    visit: 'final',
    asks: 'Tamper-resistant and weather-resistant receptacles, covers that close over a plug',
    section: '406.9, 406.12',
    know: byRules('tamper-resistant', 'weather-resistant', 'outdoor-covers'),
  },
  {
    id: 'f-switches',
    visit: 'final',
    asks: 'Every switch of every group changes its lights; controls are set',
    section: '404.2, 210.70',
    know: bySteps('switch', 'setting'),
  },
  {
    id: 'f-luminaires',
    visit: 'final',
    asks: 'Luminaires for their place: wet, over a tub, in a closet',
    section: '410.10, 410.16',
    know: byRules('wet-luminaires', 'tub-zone-luminaires', 'closet-luminaire'),
  },
  {
    id: 'f-disconnect',
    visit: 'final',
    asks: 'Disconnects within sight, or breakers that can be locked',
    section: '422.31, 424.19, 440.14',
    know: byRules('appliance-disconnect', 'building-disconnect'),
  },
  {
    id: 'f-torque',
    visit: 'final',
    asks: 'Terminals at their torque; one neutral under a screw',
    section: (edition) => (edition === '2014' ? '110.3(B), 408.41' : '110.14(D), 408.41'),
    know: bySteps('panel'),
  },
  {
    id: 'f-panel',
    visit: 'final',
    asks: 'Directory filled in, unused openings closed, working space clear',
    section: '408.4(A), 408.7, 110.26(B)',
    know: byRules('panel-spaces', 'circuit-in-panel', 'panel-enclosure'),
  },
  {
    id: 'f-bond',
    visit: 'final',
    asks: 'Neutral bonded once; electrode, pipes and other systems bonded',
    section: '250.24, 250.50, 250.94, 250.104',
    know: byRules('neutral-bond', 'grounding-electrodes', 'pipe-bonding', 'intersystem-bond'),
  },
  {
    id: 'f-service',
    visit: 'final',
    asks: 'Service as calculated; surge protection and outdoor disconnect with its label',
    section: (edition) => (edition >= '2020' ? '220, 230.67, 230.85' : '220, 230.79'),
    know: byRules(
      'service-size',
      'service-disconnects',
      'interrupting-rating',
      'surge-protection',
      'emergency-disconnect',
    ),
  },
  {
    id: 'f-feeders',
    visit: 'final',
    asks: 'Feeders: conductors, grounds and neutrals for their breakers; panels fed and protected',
    section: '215.2, 250.122, 408.36',
    know: byRules('feeder-size', 'feeder-ground', 'feeder-neutral', 'panel-fed'),
  },
  {
    id: 'f-sources',
    visit: 'final',
    asks: 'Sources apart from the utility, a breaker that is fed backward held down, the sign at the service, a disconnect at the source',
    section: '702.5, 702.7, 408.36(D), 445.18',
    // That the rules are kept is not all of it: hold-down kit and sign are to be seen.
    know: (sight) =>
      Object.keys(sight.house.sources).length === 0
        ? undefined
        : worseOf(byRules('source-transfer', 'source-busbar', 'standalone-source')(sight), {
            state: 'look',
            measured: count(Object.keys(sight.house.sources).length, 'source'),
          }),
  },
  {
    id: 'f-alarms',
    visit: 'final',
    asks: 'Alarms in place, and all sound together',
    section: 'IRC R314, R315',
    know: bySteps('alarm'),
  },
];

const GRAVITY: readonly Known['state'][] = ['fails', 'open', 'todo', 'caution', 'look', 'met'];
/** What is required and what was tried, as one line: the graver of the two says how it stands. */
function worseOf(one: Known | undefined, other: Known | undefined): Known | undefined {
  if (!one || !other) return one ?? other;
  const state = given(GRAVITY.find((each) => each === one.state || each === other.state));
  return { state, measured: `${one.measured}; ${other.measured}` };
}

/**
 * The lines of an inspection as they stand before it: by the rules, the ticks and the tests where these know, to be seen on site where
 * only the inspector does.
 *
 * @param rooms Those of a partial inspection; the whole house where left out. What belongs to no room is always among it.
 */
export function inspectionItems(house: House, visit: Visit, rooms?: readonly string[]): readonly InspectionItem[] {
  const check = checkHouse(house);
  const sight: Sight = {
    house,
    findings: [...check.findings, ...check.passes],
    isIn: (room) => !rooms || room === undefined || rooms.includes(room),
  };
  return ITEMS.flatMap(({ id, asks, section, know, visit: of }): InspectionItem[] => {
    if (of !== visit) return [];
    const known = know ? know(sight) : { state: 'look' as const, measured: 'seen on site' };
    const words = typeof section === 'string' ? section : section(house.job.edition);
    return known ? [{ id, asks, section: words, ...known }] : [];
  });
}

/** What an item asks, by its id, for results that are kept. */
export const itemAsks = (id: string): string | undefined => ITEMS.find((one) => one.id === id)?.asks;

/** Whether an inspector may be called: something fails or is not done, something cannot be told, or nothing is left as far as the tool sees. */
export function readinessOf(items: readonly InspectionItem[]): 'not-ready' | 'questions' | 'ready' {
  if (items.some((one) => one.state === 'fails' || one.state === 'todo')) return 'not-ready';
  return items.some((one) => one.state === 'open') ? 'questions' : 'ready';
}
