import { deviceIds, listOutlets, outletsOf } from '../requirements/circuit-facts';
import { circuitVolts, voltsAt, type Outlet } from '../../circuits/outlets';
import { takeOffRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory, type Facts } from '../rule';
import { itemAt } from '../../units/result';

/** Plugged equipment up to 1,440 VA is limited to 120 V between conductors; a motor of 1/4 hp and more is not: 210.6(A)(2). */
const isSmallAt240 = ({ load, device }: Outlet): boolean =>
  device.kind === 'receptacle' &&
  load !== undefined &&
  load.cord &&
  load.volts === 240 &&
  load.va <= 1440 &&
  !(load.motor && (load.hp ?? 0.25) >= 0.25);

/** Controls that are made for 240 V too; electronic ones are not, unless their maker says so: *common practice*. */
const FOR_240 = /^(toggle|timer|two-pole|line-thermostat)/;

/** Whether an outlet is made for the volts of its circuit: a switch for those of what it governs. */
function isMadeFor(facts: Facts, outlet: Outlet, volts: number): boolean {
  const { device, load } = outlet;
  if (device.kind !== 'switch') return voltsAt(outlet) === volts && (!load || load.volts === volts);
  const group = Object.values(facts.house.switchGroups).find((one) => one.switches.includes(device.id));
  const governed = (group?.controls ?? []).flatMap((id) => facts.outlets.byDevice.get(id) ?? []);
  // One that governs nothing yet is asked for by another rule.
  if (governed.length === 0) return true;
  return governed.every((one) => voltsAt(one) === volts) && (volts === 120 || FOR_240.test(device.style));
}

export const circuitVoltage = defineRule({
  id: 'circuit-voltage',
  meta: {
    summary: '240 V loads on two poles, 120 V loads on one',
    stage: 'circuits',
    severity: 'violation',
    why: 'A 240 V heater on one pole gives a quarter of its heat; a 120 V device on two poles burns.',
    editions: everyEdition({ section: '110.4, 210.6(A)', limits: {}, basis: fromMemory('high') }),
    messages: {
      wrong: ({ circuit, volts, outlets }: { circuit: string; volts: number; outlets: string }) =>
        `${circuit} is a ${volts} V circuit and feeds ${outlets}, made for ${volts === 240 ? 120 : 240} V.`,
      small: ({ circuit, outlets }: { circuit: string; outlets: string }) =>
        `${circuit} feeds ${outlets} by a cord at 240 V: in a dwelling, plugged equipment up to 1,440 VA is for 120 V.`,
      right: ({ circuit, volts }: { circuit: string; volts: number }) =>
        `Everything on ${circuit} is made for ${volts} V.`,
    },
  },
  scope: 'circuit',
  appliesTo: () => true,
  check: (facts, circuit, _limits, report) => {
    const volts = circuitVolts(circuit);
    const wrong = outletsOf(facts, circuit).filter((outlet) => !isMadeFor(facts, outlet, volts));
    const small = outletsOf(facts, circuit).filter(isSmallAt240);
    if (wrong.length === 0 && small.length > 0)
      return report.fail(
        'small',
        { circuit: circuit.name, outlets: listOutlets(small) },
        { circuit: circuit.id, box: itemAt(small, 0).box.id },
        { section: '210.6(A)', measured: () => '240 V', required: () => '120 V between conductors' },
      );
    if (wrong.length === 0) return report.pass('right', { circuit: circuit.name, volts }, { circuit: circuit.id });
    return report.fail(
      'wrong',
      { circuit: circuit.name, volts, outlets: listOutlets(wrong) },
      { circuit: circuit.id, box: itemAt(wrong, 0).box.id },
      {
        measured: () => `${volts} V`,
        required: () => `${volts === 240 ? 120 : 240} V`,
        remedies: [takeOffRemedy(deviceIds(wrong), wrong.length === 1 ? 'it' : 'them')],
      },
    );
  },
});
