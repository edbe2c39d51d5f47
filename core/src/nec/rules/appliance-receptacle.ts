import { isLonger } from '../../geometry/intervals';
import type { FeatureKind } from '../../house/schema';
import type { LoadKind } from '../../house/schema-equipment';
import { distanceToFeature, placeOf } from '../../plan/points';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { given } from '../../units/result';

/** Appliances that stand where they are drawn. The washer has its own rule, with the laundry's. */
const STANDS: Readonly<Partial<Record<LoadKind, FeatureKind>>> = {
  range: 'range',
  cooktop: 'cooktop',
  refrigerator: 'refrigerator',
  dishwasher: 'dishwasher',
  dryer: 'dryer',
  'gas-dryer': 'dryer',
  kiln: 'kiln',
};

export const applianceReceptacle = defineRule({
  id: 'appliance-receptacle',
  meta: {
    summary: 'The receptacle of an appliance within 6 ft of where it stands',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'An appliance cord is not lengthened. The receptacle belongs where the appliance will stand.',
    editions: everyEdition({ section: '210.50(C)', limits: { reachIn: 72 }, basis: fromMemory('high') }),
    messages: {
      far: ({ load, room, far }: { load: string; room: string; far: number }, show) =>
        `The receptacle of ${load} in ${room} is ${show(far)} from where it stands.`,
      near: ({ load, far }: { load: string; far: number }, show) =>
        `The receptacle of ${load} is ${show(far)} from where it stands.`,
      notDrawn: ({ load, room }: { load: string; room: string }) =>
        `Where ${load} stands in ${room} is not drawn, so its receptacle cannot be measured.`,
    },
  },
  scope: 'house',
  reads: 'loads',
  appliesTo: (facts) =>
    facts.outlets.loads.some(
      (outlet) => outlet.load && STANDS[outlet.load.kind] && outlet.device.kind === 'receptacle',
    ),
  check: (facts, limits, report) =>
    facts.outlets.loads.flatMap(({ box, device, load, room }) => {
      const kind = load && STANDS[load.kind];
      if (!load || !kind || device.kind !== 'receptacle') return [];
      const view = given(facts.views.find((one) => one.room.id === room.id));
      const where = { room: room.id, box: box.id };
      const drawn = view.features.filter((one) => one.kind === kind);
      if (drawn.length === 0) return [report.cannotTell('notDrawn', { load: load.name, room: room.name }, where)];
      const far = Math.min(...drawn.map((one) => distanceToFeature(view.room, one, placeOf(view, box))));
      const data = { load: load.name, room: room.name, far };
      const detail = {
        measured: (show: (lengthIn: number) => string) => show(far),
        required: (show: (lengthIn: number) => string) => `${show(limits.reachIn)} at most`,
      };
      return [
        isLonger(far, limits.reachIn)
          ? report.fail('far', data, where, detail)
          : report.pass('near', data, where, detail),
      ];
    }),
});
