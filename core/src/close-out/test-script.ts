import { indexOutlets, type Outlet } from '../circuits/outlets';
import { SWITCH_WORDS, type SwitchStyle } from '../house/schema-equipment';
import type { Circuit, House, Room, SwitchGroup, TestResult } from '../house/schema';
import { outagesOn, type Outage } from '../nec/outages';
import { protectionOf } from '../nec/protection/circuit-protection';
import { spaceWord } from '../circuits/panel-spaces';
import { count } from '../units/count';
import { walkingOrder } from '../walk/walk-sheets';
import { itemAt } from '../units/result';

export type StepKind = 'panel' | 'receptacle' | 'gfci' | 'switch' | 'setting' | 'breaker' | 'alarm';

/** One thing to do and to see, as a person walks the house. */
export interface TestStep {
  /** Stable while the thing that is tested is there: the id of its result. */
  readonly id: string;
  readonly kind: StepKind;
  /** Where one stands; undefined at the panel. */
  readonly room: Room | undefined;
  /** The switch group that is tried: where it misbehaves, the fault finder begins with it. */
  readonly group?: string;
  readonly what: string;
  readonly act: string;
  readonly expect: string;
  readonly section: string;
}

/** Of more positions a person sees each switch work, and no more: with five there are thirty-two. */
const MOST_POSITIONS = 16;
const MOST_NAMED = 6;

const placeOf = ({ box, room }: Outlet): string => `${box.tag}, ${room.name}`;
const nameOf = (outlet: Outlet): string => outlet.load?.name ?? placeOf(outlet);
const listed = (outlets: readonly Outlet[]): string => {
  const names = [...new Set(outlets.map(nameOf))];
  const more = names.length - MOST_NAMED;
  return more > 0 ? `${names.slice(0, MOST_NAMED).join('; ')} and ${more} more` : names.join('; ');
};

/** Ids of the document hold letters, digits, - and _; a result is named by what it tests. */
const stepId = (kind: string, id: string): string => `${kind}-${id}`.slice(0, 64);

function panelSteps(house: House): TestStep[] {
  const torque = house.job.edition === '2014' ? '110.3(B)' : '110.14(D)';
  return Object.values(house.panels).flatMap((panel): TestStep[] => {
    const base = { kind: 'panel' as const, room: house.rooms[panel.room], what: panel.name };
    return [
      {
        ...base,
        id: stepId('torque', panel.id),
        act: 'With it dead: every lug, breaker, neutral and ground to the torque on its label, with a calibrated tool.',
        expect: 'One neutral to a hole (408.41); grounds apart from neutrals where it is fed from another panel.',
        section: torque,
      },
      {
        ...base,
        id: stepId('volts', panel.id),
        act: 'Live, breakers off: volts from each leg to neutral, between the legs, and neutral to ground.',
        expect:
          house.supply.volts === '120'
            ? '120 V to neutral; 0 V neutral to ground.'
            : house.supply.volts === '120/208'
              ? '120, 120 and 208 V; 0 V neutral to ground.'
              : '120, 120 and 240 V; 0 V neutral to ground.',
        section: 'common practice',
      },
    ];
  });
}

/** Controls that do nothing right until somebody has set them. */
const SETTINGS: Readonly<Partial<Record<SwitchStyle, readonly [act: string, expect: string]>>> = {
  dimmer: ['Set its low end with the lamps that stay.', 'At its lowest the lamps burn, and start again from there.'],
  timer: ['Set its minutes.', 'It goes off by itself.'],
  occupancy: [
    'Set its time and what it sees; wait once.',
    'On when one comes in, off after its time, not by the air of a register.',
  ],
  astronomic: ['Set clock, date and place.', 'On at dusk and off when it is to be.'],
  'line-thermostat': [
    'turn it up until its heater warms, then all the way down.',
    'Its heater warms and cools, and no other. Down is not off: one hot stays on the heater.',
  ],
  'line-thermostat-2': [
    'turn it up until its heater warms, then to off.',
    'Its heater warms and cools, and no other; at off both hots are dead at the heater.',
  ],
  dusk: ['Cover its eye.', 'On in the dark, off in the light, and its own lamp does not switch it.'],
};

const isThermostat = ({ device }: Outlet): boolean => device.kind === 'switch' && /^line-thermostat/.test(device.style);

function settingStep(outlet: Outlet): TestStep[] {
  const { device, room, box } = outlet;
  const setting = device.kind === 'switch' ? SETTINGS[device.style] : undefined;
  // A thermostat is turned where its group is tried.
  if (!setting || device.kind !== 'switch' || isThermostat(outlet)) return [];
  return [
    {
      id: stepId('set', device.id),
      kind: 'setting',
      room,
      what: `${SWITCH_WORDS[device.style]} in ${box.tag}, ${room.name}`,
      act: setting[0],
      expect: setting[1],
      section: '110.3(B)',
    },
  ];
}

function receptacleStep(outlet: Outlet): TestStep[] {
  const { device, room, box } = outlet;
  if (device.kind !== 'receptacle') return [];
  const isSplit = device.switched === 'half';
  const isOld = box.state === 'existing' || box.state === 'moved';
  const old = isOld
    ? ' In old wiring also hot to a ground of its own, a water pipe or a long lead: reversed polarity with a ground taken from the neutral reads right.'
    : '';
  return [
    {
      id: stepId('rec', device.id),
      kind: 'receptacle',
      room,
      what: placeOf(outlet),
      act: box.noGround
        ? 'Tester with a lead to a ground of its own, a water pipe: hot to that ground and hot to neutral. Its test of a GFCI does nothing here: press the button of the device.'
        : device.volts === 240
          ? 'Meter between the hot slots, and each to ground.'
          : `Tester in both halves${isSplit ? ', with its switch on and off' : device.switched === 'whole' ? ', with its switch on' : ''}.${old}`,
      expect: box.noGround
        ? '120 V from the hot slot both ways, none from the neutral; the plate says "No Equipment Ground", or the slots are two.'
        : device.volts === 240
          ? '240 V between the hots, 120 V from each to ground.'
          : isSplit
            ? 'Right polarity and ground; one half follows its switch, the other stays live.'
            : 'Right polarity and ground.',
      section: '406.4, 200.11',
    },
  ];
}

/** What dies and what must not, of the device that is pressed. */
function outageStep(house: House, circuit: Circuit, outage: Outage): TestStep[] {
  if (outage.by.kind !== 'gfci') return [];
  const { outlet } = outage.by;
  const dead = new Set(outage.outlets.map((one) => one.device.id));
  const alive = itemAt(outagesOn(house, circuit), 0).outlets.filter((one) => !dead.has(one.device.id));
  return [
    {
      id: stepId('gfci', outlet.device.id),
      kind: 'gfci',
      room: outlet.room,
      what: `GFCI ${placeOf(outlet)}`,
      act: 'Press its own TEST button; a tester\u2019s button does nothing without a ground.',
      expect: `Dead: ${listed(outage.outlets)}.${alive.length > 0 ? ` Still live: ${listed(alive)}.` : ''} RESET brings them back.`,
      section: '210.8, 406.4(D)',
    },
  ];
}

/** Positions of switches so that one is flipped at a time and every combination is met, each switch up or down. */
export function grayPositions(n: number): readonly (readonly boolean[])[] {
  const steps = Math.min(2 ** n, MOST_POSITIONS);
  return Array.from({ length: steps }, (_, i) => {
    const gray = i ^ (i >> 1);
    return Array.from({ length: n }, (__, bit) => ((gray >> bit) & 1) === 1);
  });
}

function switchStep(group: SwitchGroup, byDevice: ReadonlyMap<string, Outlet>): TestStep[] {
  const switches = group.switches.flatMap((id) => byDevice.get(id) ?? []);
  const lamps = group.controls.flatMap((id) => byDevice.get(id) ?? []);
  const [first] = switches;
  if (!first || lamps.length === 0) return [];
  const what = `${group.name}: ${listed(lamps)}`;
  const kind = 'switch' as const;
  const base = { id: stepId('sw', group.id), kind, group: group.id, room: first.room, what, section: '404.2' };
  const dimmers = switches.some((one) => one.device.kind === 'switch' && one.device.style === 'dimmer');
  const also = dimmers ? ' The dimmer runs down without flicker and does not drop out.' : '';
  const turned = first.device.kind === 'switch' && isThermostat(first) ? SETTINGS[first.device.style] : undefined;
  if (turned) return [{ ...base, act: `${placeOf(first)}: ${turned[0]}`, expect: turned[1], section: '424.20' }];
  if (switches.length === 1)
    return [
      { ...base, act: `${placeOf(first)}: up, then down.`, expect: `On, then off, and nothing else changes.${also}` },
    ];
  const names = switches.map((one, i) => `${i + 1} ${placeOf(one)}`).join('; ');
  const isWhole = 2 ** switches.length <= MOST_POSITIONS;
  const positions = grayPositions(switches.length);
  const flips = positions.slice(1).map((now, i) => 1 + now.findIndex((up, bit) => up !== itemAt(positions, i)[bit]));
  return [
    {
      ...base,
      act: `${names}. ${isWhole ? `Flip in this order: ${flips.join(', ')}.` : 'Flip each once, then walk back and flip each again.'}`,
      expect: `Every single flip changes the light${isWhole ? `, ${count(positions.length, 'position')} in all` : ''}.${also}`,
    },
  ];
}

function breakerSteps(house: House, circuit: Circuit): TestStep[] {
  const outages = outagesOn(house, circuit);
  const [whole] = outages;
  if (!whole) return [];
  const { fitted } = protectionOf(house, circuit.id);
  const what = `Breaker ${spaceWord(circuit) || 'without a space'}: ${circuit.name}`;
  const base = { kind: 'breaker' as const, room: undefined, what };
  const all = listed(whole.outlets);
  const button: TestStep[] =
    fitted === 'plain'
      ? []
      : [
          {
            ...base,
            id: stepId('trip', circuit.id),
            act: 'Press its TEST button with the circuit on.',
            expect: `It opens: ${all}. It closes again and holds.`,
            section: fitted === 'afci' ? '210.12' : fitted === 'gfci' ? '210.8' : '210.8, 210.12',
          },
        ];
  return [
    ...button,
    {
      ...base,
      id: stepId('off', circuit.id),
      act: 'Switch it off and walk to what it feeds.',
      expect: `Dead: ${all}. Nothing else is.`,
      section: '408.4(A)',
    },
  ];
}

function alarmStep(alarms: readonly Outlet[]): TestStep[] {
  const [first] = alarms;
  if (!first) return [];
  return [
    {
      id: 'alarms',
      kind: 'alarm',
      room: first.room,
      what: count(alarms.length, 'alarm'),
      act: 'Press TEST on one of them; then with its circuit off.',
      expect: `All sound: ${alarms.map(placeOf).join('; ')}. On batteries they do so still.`,
      section: 'IRC R314, R315',
    },
  ];
}

/**
 * What has to be tried before a house is handed over, in the order in which a person walks: the panel, then room by room its switches,
 * receptacles, GFCIs and what has to be set, then alarms, then breaker by breaker. From what is drawn: circuits, protection and switching.
 */
export function testScript(house: House): readonly TestStep[] {
  const { alarms, byRoom, byDevice } = indexOutlets(house);
  const circuits = Object.values(house.circuits).sort(
    (a, b) => (a.space ?? 999) - (b.space ?? 999) || a.name.localeCompare(b.name),
  );
  const gfcis = circuits.flatMap((circuit) =>
    outagesOn(house, circuit).flatMap((outage) => outageStep(house, circuit, outage)),
  );
  const switches = Object.values(house.switchGroups).flatMap((group) => switchStep(group, byDevice));
  const rooms = walkingOrder(house).flatMap((room) => [
    // Lights first: a mistake in their switching is found after the second lamp, not after the eighth.
    ...switches.filter((one) => one.room === room),
    ...(byRoom.get(room.id) ?? []).flatMap(receptacleStep),
    ...gfcis.filter((one) => one.room === room),
    ...(byRoom.get(room.id) ?? []).flatMap(settingStep),
  ]);
  return [
    ...panelSteps(house),
    ...rooms,
    ...alarmStep(alarms),
    ...circuits.flatMap((circuit) => breakerSteps(house, circuit)),
  ];
}

/** What a step says, as it is kept with its result. */
export const saidBy = ({ what, act, expect }: TestStep): string => `${what} | ${act} | ${expect}`;

/** How a step stands: not done, right, wrong, or done before something changed. */
export type StepState = 'open' | 'right' | 'wrong' | 'again';
/** How a step stands by the result that was kept of it: to be tried again where what it asks has changed since. */
export function stateOf(step: TestStep, result: TestResult | undefined): StepState {
  if (!result) return 'open';
  if (result.said !== saidBy(step)) return 'again';
  return result.reading === 'right' ? 'right' : 'wrong';
}
