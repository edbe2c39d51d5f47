import { memo, sameParts } from '../cache/memo';
import { indexOutlets, voltsAt, type Outlet } from '../circuits/outlets';
import { panelOf } from '../circuits/panel-tree';
import type { Circuit, House, Panel, SwitchGroup } from '../house/schema';
import { hasTab } from '../house/yokes';
import { Memory } from '../cache/memory';
import { groupBy } from '../units/group-by';
import type { Problem } from '../units/result';

/** A switch group on its circuit: who switches and what is switched, or why it cannot be wired. */
export interface WiredGroup {
  readonly group: SwitchGroup;
  readonly circuit: string;
  readonly letter: string;
  readonly switches: readonly Outlet[];
  readonly controls: readonly Outlet[];
}

/** One circuit, or the two that share a neutral, with what is wired together. */
export interface WiringUnit {
  /** Id of its first circuit. */
  readonly id: string;
  readonly circuits: readonly Circuit[];
  readonly outlets: readonly Outlet[];
  readonly groups: readonly WiredGroup[];
  readonly panel: Panel | undefined;
  /** The GFCI receptacle that the feed order begins with; never on a shared neutral. */
  readonly gfci: Outlet | undefined;
  /** Every GFCI receptacle whose LOAD terminals feed on, that one first; none on a shared neutral. */
  readonly gfcis: readonly Outlet[];
  /** What cannot be wired as drawn, and the remedy. */
  readonly problems: readonly Problem[];
}

/** Letters by group: those chosen, and the next free ones in the order of the file. */
export function groupLetters(groups: House['switchGroups']): ReadonlyMap<string, string> {
  const taken = new Set(Object.values(groups).flatMap((one) => one.letter ?? []));
  const letters = new Map<string, string>();
  let next = 0;
  const free = (): string => {
    for (;;) {
      const n = next++;
      const letter = (n >= 26 ? String.fromCharCode(96 + Math.floor(n / 26)) : '') + String.fromCharCode(97 + (n % 26));
      if (!taken.has(letter)) return letter;
    }
  };
  for (const one of Object.values(groups)) letters.set(one.id, one.letter ?? free());
  return letters;
}

/** Electronic controls know two places at most and sit at an end of the chain; a four-way is always a plain toggle. */
export const mayBeInTheMiddle = (outlet: Outlet): boolean =>
  outlet.device.kind === 'switch' && (outlet.device.style === 'toggle' || outlet.device.style === 'door-jamb');

/** Groups by the devices they name, so that nobody is looked for twice. */
interface GroupIndex {
  readonly letters: ReadonlyMap<string, string>;
  readonly byControl: ReadonlyMap<string, readonly SwitchGroup[]>;
  readonly bySwitch: ReadonlyMap<string, readonly SwitchGroup[]>;
}

function indexGroups(groups: House['switchGroups']): GroupIndex {
  const by = (devicesOf: (group: SwitchGroup) => readonly string[]) => {
    const found = new Map<string, SwitchGroup[]>();
    for (const group of Object.values(groups))
      for (const id of devicesOf(group)) {
        const list = found.get(id);
        if (list) list.push(group);
        else found.set(id, [group]);
      }
    return found;
  };
  return { letters: groupLetters(groups), byControl: by((one) => one.controls), bySwitch: by((one) => one.switches) };
}

/** Which circuits, switches and lamps a group spans, and every reason why it cannot be one group. */
function resolveGroup(
  house: House,
  group: SwitchGroup,
  index: GroupIndex,
): { wired: WiredGroup | undefined; problems: Problem[] } {
  const { byDevice } = indexOutlets(house);
  const switches = group.switches.flatMap((id) => byDevice.get(id) ?? []);
  const controls = group.controls.flatMap((id) => byDevice.get(id) ?? []);
  const problems: Problem[] = [];
  const say = (code: string, message: string) =>
    problems.push({ code, path: `switchGroups.${group.id}`, message: `${group.name}: ${message}` });
  if (controls.length === 0)
    say('controls-nothing', 'nothing is switched. Pick what it controls, or delete the group.');
  if (switches.length === 0) say('no-switch', 'it has no switch. Place one at the way in and join it to the group.');
  const odd = switches.filter((one) => one.device.kind !== 'switch');
  if (odd.length > 0) say('not-a-switch', `${odd[0]!.box.tag} holds no switch. Take it out of the group.`);
  const others = (ids: readonly string[], by: GroupIndex['byControl']) =>
    ids.flatMap((id) => by.get(id) ?? []).filter((other) => other.id !== group.id);
  const twice = others(group.controls, index.byControl);
  if (twice.length > 0)
    say(
      'two-groups',
      `it feeds the same outlet as ${twice[0]!.name}, so that either would feed back into the other. Take the outlet out of one of them.`,
    );
  const shared = others(group.switches, index.bySwitch);
  if (shared.length > 0)
    say('switch-twice', `one of its switches also belongs to ${shared[0]!.name}. Give it a switch of its own.`);
  const circuits = [...new Set(controls.map((one) => one.device.circuit))];
  const circuit = circuits[0] ?? null;
  const stray = switches.find((one) => one.device.circuit !== null && one.device.circuit !== circuit);
  const nameOf = (id: string | null) => (id === null ? 'no circuit' : (house.circuits[id]?.name ?? 'another circuit'));
  if (circuits.length > 1)
    say(
      'two-circuits',
      `what it controls is on ${circuits.map(nameOf).join(' and ')}. One switch breaks one circuit: put all of it on one, or make two groups.`,
    );
  else if (circuit === null && controls.length > 0)
    say('no-circuit', 'what it controls is on no circuit yet. Put it on one.');
  else if (stray)
    say(
      'two-circuits',
      `the switch ${stray.box.tag} is on ${nameOf(stray.device.circuit)}, what it controls on ${nameOf(circuit)}. Put the switch on the same circuit.`,
    );
  checkControlsTogether(switches, say);
  const unfit = whyNotSwitched(house, controls);
  if (unfit) say('not-to-switch', unfit);
  if (switches.some(isTwoPole)) problems.push(...twoPoleProblems(group, switches, controls));
  if (problems.length > 0 || circuit === null) return { wired: undefined, problems };
  const letter = index.letters.get(group.id)!;
  return { wired: { group, circuit, letter, switches, controls }, problems };
}

/** Which controls work beside each other in one group. */
function checkControlsTogether(switches: readonly Outlet[], say: (code: string, message: string) => void): void {
  const middle = switches.filter((one) => !mayBeInTheMiddle(one) && !isSmart(one));
  if (switches.length > 2 && middle.length > 2)
    say('no-middle', 'dimmers and timers stand at the ends of a chain only. Make all but two of them toggles.');
  if (switches.filter((one) => one.device.kind === 'switch' && one.device.style === 'dimmer').length > 1)
    say('two-dimmers', 'two dimmers in one chain spoil each other. Keep one, or use its add-on switches.');
  const smart = switches.filter(isSmart);
  if (smart.length > 1) say('two-smart', 'one smart switch a group; the other places take add-on switches.');
  if (smart.length === 1 && switches.some((one) => !isSmart(one) && !isCompanion(one)))
    say('smart-and-toggle', 'beside a smart switch the other places take add-on switches, not toggles.');
  if (smart.length === 0 && switches.some(isCompanion))
    say('no-smart', 'an add-on switch only speaks to a smart switch. Make one of them the smart one.');
}

/** Why one of these receptacles cannot be switched as it is said, and the remedy. */
function whyNotSwitched({ circuits }: House, controls: readonly Outlet[]): string | undefined {
  for (const { box, device } of controls) {
    if (device.kind !== 'receptacle') continue;
    if (device.switched === 'half' && !hasTab(device))
      return `${box.tag} has no tab to take off, so that no half of it can be switched. Switch it whole, or make it a plain duplex.`;
    const isFirst = circuits[device.circuit ?? '']?.gfciFirst === device.id;
    if (device.gfci && (device.feedsThrough || isFirst))
      return `${box.tag} is a GFCI receptacle that feeds what comes after it, and the switch would turn all of that off. Take it out of the group, or let it protect itself only.`;
  }
  return undefined;
}

/** Controls that open both hots of 240 V equipment. */
export const isTwoPole = (one: Outlet): boolean =>
  one.device.kind === 'switch' && (one.device.style === 'two-pole' || one.device.style === 'line-thermostat-2');
function twoPoleProblems(group: SwitchGroup, switches: readonly Outlet[], controls: readonly Outlet[]): Problem[] {
  const say = (code: string, message: string): Problem => ({
    code,
    path: `switchGroups.${group.id}`,
    message: `${group.name}: ${message}`,
  });
  const at120 = controls.find((one) => voltsAt(one) !== 240);
  return [
    ...(switches.length > 1
      ? [say('two-pole-alone', 'a two-pole control works from one place. Take the other switches out.')]
      : []),
    ...(at120
      ? [
          say(
            'two-pole-at-120',
            `its control opens two hots, and ${at120.box.tag} takes 120 V. Take a one-pole control.`,
          ),
        ]
      : []),
  ];
}

/** A switch with electronics that add-on switches speak to. */
export const isSmart = (one: Outlet): boolean => one.device.kind === 'switch' && /^smart/.test(one.device.style);
/** An add-on switch, which works the smart switch of its group. */
export const isCompanion = (one: Outlet): boolean => one.device.kind === 'switch' && one.device.style === 'add-on';

type Resolved = ReturnType<typeof resolveGroup>;
const indexMemory = new Memory<House['switchGroups'], GroupIndex>();
const groupMemory = new Memory<House, readonly Resolved[]>();
const lastGroups = new Memory<House['switchGroups'], readonly Resolved[]>();
const resolvedMemory = new Memory<
  SwitchGroup,
  {
    readonly groups: House['switchGroups'];
    readonly circuits: House['circuits'];
    /** Of its switches, then of what it controls. */
    readonly outlets: readonly (Outlet | undefined)[];
    readonly resolved: Resolved;
  }
>();

/** A group, resolved again only when the groups, the circuits or one of its own outlets has changed. */
function rememberedGroup(house: House, group: SwitchGroup, index: GroupIndex): Resolved {
  const { byDevice } = indexOutlets(house);
  const known = resolvedMemory.get(group);
  const { switches, controls } = group;
  if (
    known &&
    known.groups === house.switchGroups &&
    known.circuits === house.circuits &&
    switches.every((id, i) => known.outlets[i] === byDevice.get(id)) &&
    controls.every((id, i) => known.outlets[switches.length + i] === byDevice.get(id))
  )
    return known.resolved;
  const resolved = resolveGroup(house, group, index);
  const outlets = [...switches, ...controls].map((id) => byDevice.get(id));
  resolvedMemory.set(group, { groups: house.switchGroups, circuits: house.circuits, outlets, resolved });
  return resolved;
}

/** Every group; the same list as that of an earlier state of the house where nothing in it has changed. */
function resolvedGroups(house: House): readonly Resolved[] {
  const known = groupMemory.get(house);
  if (known) return known;
  let index = indexMemory.get(house.switchGroups);
  if (!index) indexMemory.set(house.switchGroups, (index = indexGroups(house.switchGroups)));
  const found = Object.values(house.switchGroups).map((group) => rememberedGroup(house, group, index));
  const last = lastGroups.get(house.switchGroups);
  const all = last && sameParts(last, found) ? last : found;
  groupMemory.set(house, all);
  lastGroups.set(house.switchGroups, all);
  return all;
}

/** What is wrong with the switch groups of a house, whichever circuit they are on. */
export const groupProblems = (house: House): readonly Problem[] => resolvedGroups(house).flatMap((one) => one.problems);

/** The groups that can be wired, by circuit. */
const wiredByCircuit = memo((resolved: readonly Resolved[]): ReadonlyMap<string, readonly WiredGroup[]> =>
  groupBy(
    resolved.flatMap((one) => one.wired ?? []),
    (one) => one.circuit,
  ),
);

const NO_GROUPS: readonly WiredGroup[] = [];
const unitMemory = new Memory<Circuit, { readonly parts: readonly unknown[]; readonly unit: WiringUnit }>();

/** The circuits of a house as they are wired, two that share a neutral together; each the same object as long as all in it is. */
export function wiringUnits(house: House): readonly WiringUnit[] {
  const { byCircuit, byDevice } = indexOutlets(house);
  const groups = wiredByCircuit(resolvedGroups(house));
  const units: WiringUnit[] = [];
  const done = new Set<string>();
  for (const circuit of Object.values(house.circuits)) {
    if (done.has(circuit.id)) continue;
    const twin = circuit.sharesNeutralWith === undefined ? undefined : house.circuits[circuit.sharesNeutralWith];
    const partner = twin && twin.sharesNeutralWith === circuit.id && twin.id !== circuit.id ? twin : undefined;
    if (partner) done.add(partner.id);
    const panel = panelOf(house, circuit);
    const first = circuit.gfciFirst === null ? undefined : byDevice.get(circuit.gfciFirst);
    const parts: unknown[] = [circuit, partner, panel, first, byCircuit.get(circuit.id)];
    for (const one of groups.get(circuit.id) ?? NO_GROUPS) parts.push(one);
    if (partner) {
      parts.push(byCircuit.get(partner.id));
      for (const one of groups.get(partner.id) ?? NO_GROUPS) parts.push(one);
    }
    let known = unitMemory.get(circuit);
    if (!known || !sameParts(known.parts, parts)) {
      const mine = [circuit, ...(partner ? [partner] : [])].flatMap(({ id }) => groups.get(id) ?? NO_GROUPS);
      unitMemory.set(circuit, (known = { parts, unit: toUnit(house, circuit, partner, mine, panel, first) }));
    }
    units.push(known.unit);
  }
  return units;
}

function toUnit(
  house: House,
  circuit: Circuit,
  partner: Circuit | undefined,
  groups: readonly WiredGroup[],
  panel: Panel | undefined,
  first: Outlet | undefined,
): WiringUnit {
  const { byCircuit } = indexOutlets(house);
  const both = partner ? [circuit, partner] : [circuit];
  // By their ids, so that the order of the file decides nothing.
  const own = both.flatMap((one) => byCircuit.get(one.id) ?? []).sort((a, b) => (a.device.id < b.device.id ? -1 : 1));
  const claimed = new Set(own.map((one) => one.device.id));
  // A switch without a circuit goes with what it controls.
  const along = groups.flatMap((one) => one.switches).filter((one) => !claimed.has(one.device.id));
  const problems: Problem[] = [];
  const feeding = own.filter(({ device }) => device.kind === 'receptacle' && device.gfci && device.feedsThrough);
  if (partner && (feeding.length > 0 || both.some((one) => one.gfciFirst !== null)))
    problems.push({
      code: 'gfci-shared-neutral',
      path: feeding[0] ? `boxes.${feeding[0].box.id}` : `circuits.${circuit.id}.gfciFirst`,
      message: `${both.map((one) => one.name).join(' and ')} share a neutral: a GFCI receptacle cannot protect what comes after it there. Use a two-pole GFCI breaker, or give each its own neutral.`,
    });
  const isGfci = first?.device.kind === 'receptacle' && first.device.gfci;
  const gfci = !partner && isGfci && first.device.circuit === circuit.id ? first : undefined;
  return {
    id: circuit.id,
    circuits: both,
    outlets: [...own, ...along],
    groups: [...groups].sort((a, b) => (a.group.id < b.group.id ? -1 : 1)),
    panel,
    gfci,
    gfcis: partner ? [] : [...(gfci ? [gfci] : []), ...feeding.filter((one) => one.device.id !== gfci?.device.id)],
    problems,
  };
}
