import { describe, expect, it } from 'vitest';
import { applyEdit } from '../house/edit';
import { newDevice, type Device, type LoadKind } from '../house/schema-equipment';
import type { Edition, House } from '../house/schema';
import { LOAD_LIBRARY } from '../loads/library';
import { askTap, takeTap, tapOf, type TapAnswer, type TapQuestion } from './ask-tap';
import { aHouse } from '../test/house-builder';

/** A usual house with one circuit of every kind, each with its members. */
const usual = (edition: Edition = '2023'): House =>
  aHouse(edition)
    .room('kitchen', 'kitchen', [0, 0, 180, 144])
    .feature('kitchen', 'counter', ['c0', 0, 150, 25])
    .room('dining', 'dining', [190, 0, 144, 144])
    .room('bath', 'bathroom', [0, 160, 96, 96])
    .feature('bath', 'basin', ['c0', 30, 24, 20])
    .room('bath2', 'bathroom', [110, 160, 96, 96])
    .feature('bath2', 'basin', ['c0', 30, 24, 20])
    .room('bed', 'bedroom', [220, 160, 144, 120])
    .room('laundry', 'laundry', [0, 270, 96, 72])
    .room('garage', 'garage', [110, 290, 240, 240], { bays: 2 })
    .room('mech', 'utility', [0, 360, 96, 96])
    .room('yard', 'outdoors', [400, 0, 200, 200], { side: 'back' })
    .panel('panel', 'garage', 40)
    .circuit('small-appliance-1', 20, { purpose: 'small-appliance' })
    .circuit('small-appliance-2', 20, { purpose: 'small-appliance' })
    .receptacle('kitchen', 'c0', 20, { circuit: 'small-appliance-1', heightIn: 43 })
    .receptacle('kitchen', 'c0', 60, { circuit: 'small-appliance-2', heightIn: 43 })
    .receptacle('dining', 'c0', 40, { circuit: 'small-appliance-2' })
    .circuit('lights', 15)
    .ceiling('kitchen', 'luminaire', 'lights')
    .ceiling('dining', 'luminaire', 'lights')
    .circuit('hood', 20, { purpose: 'individual' })
    .load('range-hood', 'kitchen', 'c0', 100, 'hood', { heightIn: 78 })
    .circuit('dishwasher', 20)
    .load('dishwasher', 'kitchen', 'c0', 120, 'dishwasher')
    .circuit('bathrooms', 20, { purpose: 'bathroom' })
    .receptacle('bath', 'c0', 20, { circuit: 'bathrooms', heightIn: 43 })
    .receptacle('bath2', 'c0', 20, { circuit: 'bathrooms', heightIn: 43 })
    .circuit('bedroom', 15)
    .receptacle('bed', 'c0', 40, { circuit: 'bedroom' })
    .receptacle('bed', 'c1', 40, { circuit: 'bedroom' })
    .ceiling('bed', 'luminaire', 'bedroom')
    .circuit('laundry', 20, { purpose: 'laundry' })
    .receptacle('laundry', 'c0', 40, { circuit: 'laundry' })
    .circuit('garage', 20, { purpose: 'garage' })
    .receptacle('garage', 'c0', 40, { circuit: 'garage', heightIn: 48 })
    .receptacle('garage', 'c1', 40, { circuit: 'garage', heightIn: 48 })
    .circuit('furnace', 15, { purpose: 'individual' })
    .load('furnace', 'mech', 'c0', 30, 'furnace')
    .circuit('heat-240', 20, { poles: 2 })
    .load('baseboard-heat', 'bed', 'c2', 40, 'heat-240', { va: 750 })
    .circuit('empty-15', 15)
    .circuit('empty-20', 20)
    .circuit('empty-30', 30, { poles: 2 })
    .circuit('empty-20-two-pole', 20, { poles: 2 })
    .circuit('empty-60-on-6', 60, { poles: 2 })
    .circuit('empty-30-one-pole', 30)
    .circuit('one-bath-alone', 20, { purpose: 'bathroom' })
    .room(
      'bath3',
      'bathroom',
      [220, 290, 60, 60].map((n, i) => (i === 0 ? 370 : n)) as [number, number, number, number],
    )
    .feature('bath3', 'basin', ['c0', 10, 24, 20])
    .receptacle('bath3', 'c0', 50, { circuit: 'one-bath-alone', heightIn: 43 })
    .build();

type Thing = LoadKind | Device;
const light = newDevice('luminaire', 'x');
const strip = newDevice('luminaire', 'x', { style: 'strip', va: 24 });
const plug = newDevice('receptacle', 'x');
const alarm = newDevice('alarm', 'x');

function questionOf(thing: Thing, room: string, wall: string, extra: object = {}): TapQuestion {
  const load =
    typeof thing === 'string'
      ? { ...LOAD_LIBRARY[thing], kind: thing, source: 'typical' as const, ...extra }
      : undefined;
  const device =
    typeof thing === 'string'
      ? newDevice(load!.cord ? 'receptacle' : 'connection', 'x', {
          volts: load!.volts,
          ...(load!.cord && load!.volts === 240 ? { ratingA: 50, style: 'single' } : {}),
        })
      : thing;
  return tapOf(
    { device, ...(load ? { load } : {}) },
    { room, at: { kind: 'wall', wall, alongIn: 50, heightIn: 20 } },
    { box: 'new-box', load: 'new-load' },
  );
}

function ask(
  thing: Thing,
  room: string,
  wall: string,
  edition: Edition = '2023',
  extra: object = {},
): readonly TapAnswer[] {
  const answers = askTap(usual(edition), questionOf(thing, room, wall, extra));
  if (!answers.ok) throw new Error(answers.problems[0]!.message);
  return answers.value;
}
const from = (answers: readonly TapAnswer[], circuit: string) => answers.find((one) => one.circuit.name === circuit)!;

/** What people ask on site, and what the code answers. `yes`, `open`, or the section that forbids it. */
const CASES: readonly (readonly [
  what: string,
  thing: Thing,
  room: string,
  circuit: string,
  answer: string,
  extra?: object,
])[] = [
  ['under-cabinet lights beside a counter receptacle', strip, 'kitchen', 'small-appliance-1', '210.52(B)(2)'],
  ['the same from the lighting circuit', strip, 'kitchen', 'lights', 'yes'],
  ['under-cabinet lights from the hood\u2019s receptacle', strip, 'kitchen', 'hood', '422.16(B)(4)'],
  ['a refrigerator on a small-appliance circuit', 'refrigerator', 'kitchen', 'small-appliance-1', 'yes'],
  ['a refrigerator on an individual 15 A circuit', 'refrigerator', 'kitchen', 'empty-15', 'yes'],
  ['a dishwasher on a small-appliance circuit', 'dishwasher', 'kitchen', 'small-appliance-2', '210.52(B)(2)'],
  ['a disposer with the dishwasher, both fixed, on 20 A', 'disposer', 'kitchen', 'dishwasher', 'yes'],
  ['the bath receptacle off the counter circuit', plug, 'bath', 'small-appliance-1', '210.52(B)(2)'],
  [
    'a bath receptacle away from the basin on the bedroom\u2019s 15 A: read in two ways',
    plug,
    'bath',
    'bedroom',
    'open',
  ],
  ['a third bath receptacle on the bathroom circuit', plug, 'bath', 'bathrooms', 'yes'],
  ['a bath light on the circuit of two bathrooms', light, 'bath', 'bathrooms', '210.11(C)(3)'],
  ['a bath light where the circuit feeds that bath alone', light, 'bath3', 'one-bath-alone', 'yes'],
  [
    'a heat-fan-light of 1500 W with that bath\u2019s receptacle',
    'bath-heater',
    'bath3',
    'one-bath-alone',
    '210.23(B)(2)',
    { individual: false },
  ],
  ['the same unit on 20 A of its own', 'bath-heater', 'bath3', 'empty-20', 'yes'],
  ['a hall receptacle on the bathroom circuit', plug, 'bed', 'bathrooms', '210.11(C)(3)'],
  ['the mechanical room on the garage circuit', plug, 'mech', 'garage', '210.11(C)(4)'],
  ['an outdoor receptacle on the garage circuit', newDevice('receptacle', 'x', { wr: true }), 'yard', 'garage', 'yes'],
  ['a garage light on the garage circuit of two bays', light, 'garage', 'garage', '210.11(C)(4)'],
  ['a bedroom receptacle on the laundry circuit', plug, 'bed', 'laundry', '210.11(C)(2)'],
  ['a gas dryer on the laundry circuit', 'gas-dryer', 'laundry', 'laundry', 'yes'],
  ['a receptacle on the furnace circuit', plug, 'mech', 'furnace', '422.12'],
  ['a condensate pump on the furnace circuit', 'other', 'mech', 'furnace', 'yes', { name: 'Condensate pump', va: 120 }],
  [
    'a sump pump on the furnace circuit, whatever it is called',
    'sump-pump',
    'mech',
    'furnace',
    '422.12',
    { name: 'Condensate pump' },
  ],
  ['one fixed appliance of 10 A with bedroom lights on 15 A', 'dishwasher', 'bed', 'bedroom', '210.23(B)(2)'],
  ['a bedroom receptacle from the bedroom circuit', plug, 'bed', 'bedroom', 'yes'],
  ['a smoke alarm from the bedroom circuit', alarm, 'bed', 'bedroom', 'yes'],
  ['a 750 W, 240 V heater beside another', 'baseboard-heat', 'bed', 'heat-240', 'yes', { va: 750 }],
  ['a 240 V heater on a one-pole circuit', 'baseboard-heat', 'bed', 'empty-20', '210.6', { va: 750 }],
  [
    'three times 750 W at 120 V is 18.8 A, 23.4 A at 125 %',
    'baseboard-heat',
    'bed',
    'empty-20',
    '210.20(A)',
    { va: 2250, volts: 120 },
  ],
  ['the same at 240 V is 11.7 A at 125 %', 'baseboard-heat', 'bed', 'empty-20-two-pole', 'yes', { va: 2250 }],
  ['a water heater of 4.5 kW on 20 A', 'water-heater', 'mech', 'empty-20-two-pole', '210.20(A)'],
  ['a water heater of 4.5 kW on 30 A', 'water-heater', 'mech', 'empty-30', 'yes'],
  ['a 48 A car charger on a 60 A circuit of No. 6', 'ev-charger-48', 'garage', 'empty-60-on-6', '210.19(A)'],
  ['a car charger beside the bedroom heater', 'ev-charger', 'garage', 'heat-240', '625.40'],
  ['an ordinary receptacle on a 30 A circuit', plug, 'garage', 'empty-30-one-pole', '210.21(B)(3)'],
  [
    'a 15 A heater of 1500 W on 15 A with lights: 12.5 A of cord at 80 % is 12 A',
    'portable-heater',
    'bed',
    'bedroom',
    '210.23(B)(1)',
  ],
];

describe('may I take it from here?', () => {
  for (const [what, thing, room, circuit, answer, extra] of CASES)
    it(what, () => {
      const wall = room === 'kitchen' && thing !== 'dishwasher' ? 'c1' : 'c3';
      const given = from(ask(thing, room, wall, '2023', extra), circuit);
      const sections = given.objections.map((one) => one.section).join('; ');
      if (answer === 'open') expect(given.cautions.map((one) => one.text).join()).toContain('Open: ');
      else if (answer === 'yes') expect(given.allowed, sections).toBe(true);
      else expect(sections).toContain(answer);
      for (const one of given.objections) expect(one.text.length).toBeGreaterThan(15);
    });

  it('a bath receptacle on the bedroom circuit in 2017, which names all of a bathroom', () =>
    expect(from(ask(plug, 'bath', 'c3', '2017'), 'bedroom').objections[0]!.section).toBe('210.11(C)(3)'));

  it.each([
    ['2014', true],
    ['2017', false],
    ['2023', false],
  ] as const)('%s: a garage light with the garage receptacles: %s', (edition, allowed) =>
    expect(from(ask(light, 'garage', 'c3', edition), 'garage').allowed).toBe(allowed),
  );

  it('puts what is allowed first, and of that the nearest', () => {
    const answers = ask(plug, 'bed', 'c3');
    const firstForbidden = answers.findIndex((one) => !one.allowed);
    const [yes, no] = [answers.slice(0, firstForbidden), answers.slice(firstForbidden)];
    expect(yes.length).toBeGreaterThan(0);
    expect(no.every((one) => !one.allowed)).toBe(true);
    for (const part of [yes, no]) {
      const feet = part.map((one) => one.cableFt);
      expect(feet).toEqual(feet.toSorted((a, b) => a - b));
    }
    expect(yes[0]).toMatchObject({ circuit: { name: 'bedroom' } });
    expect(yes[0]!.leftA).toBeGreaterThan(0);
  });

  it('says what protection it brings', () => {
    const bedroom = from(ask(plug, 'bed', 'c3'), 'empty-15');
    expect([bedroom.breakerBefore, bedroom.breakerAfter]).toEqual(['plain', 'afci']);
    expect(bedroom.needs.map((one) => one.section)).toEqual(['210.12(B)']);
    const bath = from(ask(plug, 'bath', 'c3'), 'empty-20');
    expect(bath.breakerAfter).toBe('gfci');
    expect(bath.needs[0]!.text).toContain('GFCI: ');
  });

  it('does not say a plain yes of a circuit that is wrong already, or where the use of a room is unknown', () => {
    const house = aHouse()
      .room('bed', 'bedroom', [0, 0, 144, 120])
      .room('spare', 'other', [160, 0, 120, 120])
      .circuit('A', 20, { awg: '14' })
      .receptacle('bed', 'c0', 40, { circuit: 'A' })
      .build();
    const question = tapOf(
      { device: plug },
      { room: 'spare', at: { kind: 'wall', wall: 'c0', alongIn: 50, heightIn: 16 } },
      { box: 'new-box', load: 'new-load' },
    );
    const answers = askTap(house, question);
    const texts = answers.ok ? answers.value[0]!.cautions.map((one) => one.text) : [];
    expect(texts.some((text) => text.startsWith('Wrong already: A: No. 14 copper NM-B'))).toBe(true);
    expect(texts.some((text) => text.startsWith('Open: ') && text.includes('spare'))).toBe(true);
  });

  it.each([
    ['a light', light, 'lights'],
    ['a refrigerator with its receptacle', 'refrigerator', 'small-appliance-1'],
  ] as const)('takes %s as one edit that can be taken back', (_, thing, circuit) => {
    const house = usual();
    const question = questionOf(thing, 'kitchen', 'c1');
    const done = takeTap(house, question, circuit);
    if (!done.ok) throw new Error(done.problems[0]!.message);
    const [device] = Object.values(done.value.house.boxes['new-box']!.devices);
    expect(device!.circuit).toBe(circuit);
    expect(Object.keys(done.value.house.loads).includes('new-load')).toBe(typeof thing === 'string');
    const back = applyEdit(done.value.house, done.value.edit.inverse);
    expect(back).toEqual({ ok: true, value: house });
  });

  it('says so when what is asked about is gone', () => {
    const answers = askTap(usual(), { kind: 'standing', devices: ['nothing'] });
    expect(answers.ok).toBe(false);
  });
});
