import { isInTheWalls } from './cables';
import { spaceMark } from '../circuits/panel-spaces';
import { servicePanel } from '../circuits/panel-tree';
import type { House } from '../house/schema';
import type { SwitchHardware } from '../feed/chain';
import type { Outlet } from '../circuits/outlets';
import type { CableEnd, UnitWiring } from './make-up';

/** What is written on a cable where it enters a box. */
export interface CableLabel {
  /** FEED, TO NEXT, LAST, 3-WAY b, SWITCHED c. */
  readonly heading: string;
  /** 14-2 from B2-4, circuit 7. */
  readonly detail: string;
}

const breakerOf = (end: CableEnd): string => {
  const { circuits } = end.run.unit;
  return `circuit ${circuits.map((one) => spaceMark(one) ?? one.name).join('/')}`;
};

/** The heading and the far end of a cable, as people write them on the jacket: *common practice*. */
export function cableLabel(wiring: UnitWiring, end: CableEnd): CableLabel {
  const { run, cable } = end;
  const signals = cable.conductors.flatMap((one) => one.signal ?? []);
  const letterOf = (group: string) =>
    wiring.plan.chains.find((one) => one.group.group.id === group)?.group.letter ?? '';
  const lettersOf = (kind: string) => [
    ...new Set(signals.filter((one) => one.kind === kind).map((one) => letterOf(one.of))),
  ];
  const parts: string[] = [];
  const [travelers, legs] = [lettersOf('traveler'), lettersOf('leg')];
  if (signals.some((one) => one.kind === 'hot')) {
    const goesOn = wiring.runs.some((other) => other.from?.id === run.to.id);
    parts.push(end.end === 'b' ? 'FEED' : goesOn ? 'TO NEXT' : 'LAST');
  }
  if (travelers.length > 0) parts.push(`3-WAY ${travelers.join(' ')}`);
  if (legs.length > 0) parts.push(`SWITCHED ${legs.join(' ')}`);
  if (signals.some((one) => one.kind === 'interconnect')) parts.push('ALARMS');
  const isAluminum = wiring.unit.circuits.some((one) => one.metal === 'aluminum');
  const size = `${run.awg}-${cable.kind.slice(1)}${isAluminum ? ' Al' : ''}`;
  const far = end.end === 'b' ? `from ${run.from?.tag ?? 'the panel'}` : `to ${run.to.tag}`;
  return { heading: parts.join(' + ') || 'SPARE', detail: `${size} ${far}, ${breakerOf(end)}` };
}

/** Letters of the plan for a switch: S, S3, S4, with a small letter for its group: the published drafting convention. */
export function switchSymbol(hardware: SwitchHardware | undefined, letter: string, style: string): string {
  if (style === 'line-thermostat' || style === 'line-thermostat-2')
    return `${style === 'line-thermostat' ? 'T' : 'T2'} ${letter}`.trim();
  const body = hardware === 'two-pole' ? 'S2' : hardware === 'three-way' ? 'S3' : hardware === 'four-way' ? 'S4' : 'S';
  const kind = style === 'dimmer' ? 'D' : hardware === 'smart' ? 'M' : hardware === 'add-on' ? 'C' : '';
  return `${body}${kind} ${letter}`.trim();
}

/** A device as its card names it. */
interface DeviceTitle {
  readonly title: string;
  readonly about: string;
}

/** What a device is called on the card of its box: its kind and what it switches or is. */
export function deviceTitle(units: readonly UnitWiring[], outlet: Outlet): DeviceTitle {
  const { device, load } = outlet;
  for (const { plan } of units) {
    const chain = plan.chains.find((one) => one.order.includes(outlet));
    if (chain && device.kind === 'switch')
      return {
        title: switchSymbol(plan.hardware.get(device.id), chain.group.letter, device.style),
        about: chain.group.group.name,
      };
  }
  const names: Record<typeof device.kind, string> = {
    receptacle: device.kind === 'receptacle' && device.gfci ? 'GFCI' : 'Receptacle',
    switch: 'S',
    luminaire: 'Luminaire',
    fan: 'Fan',
    alarm: 'Alarm',
    connection: 'Connection',
    blank: 'Blank',
    'low-voltage': 'Low voltage',
  };
  const group = units.flatMap(({ plan }) => plan.chains).find((one) => one.group.controls.includes(outlet));
  return { title: names[device.kind], about: load?.name ?? (group ? `switched ${group.group.letter}` : '') };
}

/** A cable's labels at both of its ends, in the order of the runs: to be printed, cut and stuck on. What was in the walls before has its own. */
export function allLabels(
  house: House,
  units: readonly UnitWiring[],
): readonly (CableLabel & { readonly at: string; readonly id: string })[] {
  return units.flatMap((wiring) =>
    wiring.runs
      .filter((run) => !isInTheWalls(run))
      .flatMap((run) =>
        run.cables.flatMap((cable) => {
          const panel = wiring.unit.panel ?? servicePanel(house);
          const ends: { end: 'a' | 'b'; at: string }[] = [
            { end: 'a', at: run.from?.tag ?? panel?.name ?? 'panel' },
            { end: 'b', at: run.to.tag },
          ];
          return ends.map(({ end, at }) => ({
            ...cableLabel(wiring, { run, cable, end }),
            at,
            id: `${cable.id}.${end}`,
          }));
        }),
      ),
  );
}
