import { circuitSchema, type House } from '../house/schema';
import { randomFrom } from './random-house';
import { wiringHouse } from './wiring-house';

type Device = Record<string, unknown> & { readonly kind: string; circuit: string | null };
type Random = () => number;

const CONTROLS = ['dimmer', 'timer', 'occupancy', 'smart', 'add-on', 'door-jamb', 'astronomic', 'dusk'] as const;
/** How often each of them comes. */
const KINDS: readonly (readonly [number, (random: Random) => Record<string, unknown>])[] = [
  [25, () => ({ kind: 'receptacle' })],
  [20, (random) => ({ kind: 'receptacle', gfci: true, ...(random() < 0.7 ? { feedsThrough: true } : {}) })],
  [15, () => ({ kind: 'luminaire' })],
  [3, () => ({ kind: 'fan' })],
  [4, () => ({ kind: 'alarm' })],
  [5, () => ({ kind: 'connection' })],
  [6, (random) => ({ kind: 'receptacle', switched: random() < 0.5 ? 'half' : 'whole' })],
  [22, (random) => ({ kind: 'switch', style: random() < 0.7 ? 'toggle' : pick(random, CONTROLS) })],
];

const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

function someDevice(random: Random, circuits: readonly string[]): Device {
  let left = random() * 100;
  const [, make] = KINDS.find(([share]) => (left -= share) < 0)!;
  const device = make(random);
  const circuit = pick(random, device['kind'] === 'switch' ? [...circuits, null] : circuits);
  return { ...device, circuit } as Device;
}

const isSwitchable = ({ kind, switched, circuit }: Device, chance: number): boolean =>
  circuit !== null &&
  (['luminaire', 'fan', 'connection'].includes(kind) ||
    (kind === 'receptacle' && (switched !== undefined || chance < 0.15)));

function someGroups(random: Random, devices: ReadonlyMap<string, Device>) {
  const switches = [...devices].filter(([, one]) => one.kind === 'switch').map(([id]) => id);
  const loads = [...devices].filter(([, one]) => isSwitchable(one, random())).map(([id]) => id);
  const groups: Record<string, { switches: string[]; controls: string[] }> = {};
  while (switches.length > 0 && loads.length > 0) {
    const taken = switches.splice(0, random() < 0.5 ? 1 : random() < 0.8 ? 2 : 3);
    const first = loads.shift()!;
    const { circuit } = devices.get(first)!;
    const others = loads.filter((id) => devices.get(id)!.circuit === circuit && random() < 0.4);
    for (const id of others) loads.splice(loads.indexOf(id), 1);
    for (const id of taken) if (devices.get(id)!.circuit !== null) devices.get(id)!.circuit = circuit;
    groups[`g${Object.keys(groups).length}`] = { switches: taken, controls: [first, ...others] };
  }
  return groups;
}

/**
 * A house of one circuit, or of two that share a neutral, with boxes and switch groups at random; the feed order is drawn, or left to
 * the tool. The same for the same seed.
 */
export function randomUnit(seed: number): House {
  const random = randomFrom(seed);
  const circuits = random() < 0.3 ? ['Q', 'R'] : ['Q'];
  const isDrawn = random() < 0.5;
  const devices = new Map<string, Device>();
  const boxes: Record<string, [string | null, ...Device[]]> = {};
  for (let n = 0, count = 2 + Math.floor(random() * 7); n < count; n++) {
    const id = `B${n}`;
    const from = n === 0 || random() < 0.12 ? null : pick(random, Object.keys(boxes));
    const here = Array.from({ length: random() < 0.6 ? 1 : 2 }, () => someDevice(random, circuits));
    here.forEach((one, i) => devices.set(`${id}-${i}`, one));
    boxes[id] = [from, ...here];
  }
  const groups = someGroups(random, devices);
  const guard = [...devices].find(([, one]) => one['gfci'] && one.circuit === 'Q')?.[0];
  const isFirst = circuits.length === 1 && random() < 0.4;
  return wiringHouse({
    boxes,
    groups,
    change: (house) => {
      if (!isDrawn) house.cables = {};
      if (guard !== undefined && isFirst) house.circuits['Q']!.gfciFirst = guard;
      if (circuits.length === 1) return;
      house.circuits['R'] = circuitSchema.parse({ ...house.circuits['Q'], id: 'R', name: 'Circuit R' });
      house.circuits['Q']!.sharesNeutralWith = 'R';
      house.circuits['R'].sharesNeutralWith = 'Q';
    },
  });
}
