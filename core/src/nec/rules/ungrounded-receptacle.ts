import type { LoadKind } from '../../house/schema-equipment';
import type { Outlet } from '../../circuits/outlets';
import { isGfciGiven, protectionOf } from '../protection/circuit-protection';
import { staysAsItIs } from '../protection/decision';
import { outletsOf } from '../requirements/circuit-facts';
import { defineRule, everyEdition, fromMemory } from '../rule';

/** Plugged equipment whose cord must have a ground that goes somewhere: 250.114(3), all editions. *From memory*, high. */
const NEEDS_GROUND: ReadonlySet<LoadKind> = new Set<LoadKind>([
  'range',
  'gas-range',
  'refrigerator',
  'freezer',
  'wine-cooler',
  'window-ac',
  'washer',
  'dryer',
  'gas-dryer',
  'heat-pump-dryer',
  'dishwasher',
  'disposer',
  'sump-pump',
  'aquarium',
  'computer',
  'laser-printer',
  'router',
  'server-rack',
  'table-saw',
  'large-saw',
  'planer',
  'dust-collector',
  'compressor',
  'small-compressor',
]);

/** What an existing circuit of three wires may go on feeding, its frame grounded by the neutral: 250.140 Exception, all editions. *From memory*, high. */
const BY_NEUTRAL: ReadonlySet<LoadKind> = new Set<LoadKind>(['range', 'dryer']);

const needsGround = ({ load }: Outlet): boolean => load !== undefined && load.cord && NEEDS_GROUND.has(load.kind);

export const ungroundedReceptacle = defineRule({
  id: 'ungrounded-receptacle',
  meta: {
    summary: 'Where old wiring brings no ground: what may be replaced, plugged in and fed from there',
    stage: 'circuits',
    severity: 'violation',
    why: 'A receptacle of three slots promises a ground. Where there is none, a fault puts the case of what is plugged in under voltage, and nothing opens. A GFCI saves the person, and marks tell the next one.',
    editions: everyEdition({ section: '406.4(D)(2)', limits: {}, basis: fromMemory('high') }),
    messages: {
      bare: ({ tag }: Tag) =>
        `${tag} is replaced where its old wiring brings no ground. Give it GFCI and mark its plate, take a receptacle of two slots, or bring a ground to it.`,
      marked: ({ tag, own }: Tag & { own: boolean }) =>
        `${tag} has GFCI and no ground: mark its plate "No Equipment Ground"${own ? '' : ' and "GFCI Protected"'}, and let no ground go on from it.`,
      stays: ({ tag }: Tag) => `${tag} has no ground and stays as it is: a receptacle of two slots, or one with GFCI.`,
      equipment: ({ tag, load }: Tag & { load: string }) =>
        `${load} needs a ground, and none comes to ${tag}: GFCI does not stand in for it. Bring a ground, or feed it from elsewhere.`,
      byNeutral: ({ tag, load }: Tag & { load: string }) =>
        `${load} stands at ${tag}, whose old circuit has no ground. Its frame may stay joined to the neutral where that is insulated, or is the bare one of a service-entrance cable from the service panel, and No. 10 copper or larger. Look; otherwise bring a ground.`,
      carried: ({ tag, to }: Tag & { to: string }) =>
        `The cable from ${tag} to ${to} starts where no ground comes, and what is new needs one. Bring a ground to ${tag} as 250.130(C) lets you, or feed ${to} from elsewhere.`,
      supposed: ({ tag, to }: Tag & { to: string }) =>
        `The feed order that is supposed here feeds ${to} from ${tag}, where no ground comes. What is new needs one: say which cable feeds it.`,
    },
  },
  scope: 'unit',
  check: (facts, { unit, runs, tree }, _limits, report) => {
    const outlets = unit.circuits
      .flatMap((circuit) => outletsOf(facts, circuit))
      .filter(({ box, device }) => box.noGround && device.kind === 'receptacle');
    const said = outlets.map((outlet) => {
      const { box, room, device, load } = outlet;
      const where = { room: room.id, box: box.id };
      const { tag } = box;
      if (load && BY_NEUTRAL.has(load.kind) && load.volts === 240 && box.state === 'existing')
        return report.cannotTell('byNeutral', { tag, load: load.name }, where, { section: '250.140 Exception' });
      if (load && needsGround(outlet))
        return report.fail('equipment', { tag, load: load.name }, where, { section: '250.114' });
      if (staysAsItIs(outlet)) return report.pass('stays', { tag }, where);
      const isGuarded =
        device.circuit !== null && isGfciGiven(protectionOf(facts.house, device.circuit, facts.edition), outlet);
      if (!isGuarded) return report.fail('bare', { tag }, where);
      return report.pass('marked', { tag, own: device.kind === 'receptacle' && device.gfci }, where);
    });
    const carried = runs.flatMap(({ from, to }) => {
      if (!from?.noGround || to.noGround || to.state === 'existing') return [];
      const data = { tag: from.tag, to: to.tag };
      const where = { room: to.room, box: to.id };
      const detail = { section: '250.130(C)' };
      return [
        tree.stored ? report.fail('carried', data, where, detail) : report.cannotTell('supposed', data, where, detail),
      ];
    });
    return [...said, ...carried];
  },
});

interface Tag {
  readonly tag: string;
}
