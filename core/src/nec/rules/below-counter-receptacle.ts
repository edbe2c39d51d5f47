import { isLonger } from '../../geometry/intervals';
import { receptaclesOf } from '../../place/receptacles';
import { defineRule, fromMemory } from '../rule';

export const belowCounterReceptacle = defineRule({
  id: 'below-counter-receptacle',
  meta: {
    summary: 'Receptacles in the side of an island: how far below the top, and whether they serve it',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'A cord that hangs down an island\u2019s side is pulled by children, with the hot pot at its end. Each edition allowed less: since 2023 such a receptacle no longer serves the counter.',
    editions: {
      '2014': {
        section: '210.52(C)(5) Exception',
        limits: { belowIn: 12, overhangIn: 6, serves: 1 },
        basis: fromMemory('high'),
      },
      '2017': {
        section: '210.52(C)(5) Exception',
        limits: { belowIn: 12, overhangIn: 6, serves: 1 },
        basis: fromMemory('high'),
      },
      '2020': { section: '210.52(C)(3)', limits: { belowIn: 12, overhangIn: 6, serves: 1 }, basis: fromMemory('high') },
      '2023': { section: '210.52(C)(3)', limits: { belowIn: 12, overhangIn: 6, serves: 0 }, basis: fromMemory('high') },
    },
    messages: {
      deep: ({ tag, name, below }: Data & { below: number }, show) =>
        `${tag} stands ${show(below)} below the top of the ${name}.`,
      hidden: ({ tag, name, overhang }: Data & { overhang: number }, show) =>
        `${tag} stands below a top that overhangs the ${name} by ${show(overhang)}: it does not serve it.`,
      overhang: ({ tag, name }: Data) =>
        `How far the top overhangs the ${name} over ${tag} is not said. Beyond 6 in the receptacle does not serve it: enter the overhang.`,
      serves: ({ tag, name }: Data) => `${tag} may serve the ${name} from its side.`,
      beside: ({ tag, name }: Data) => `${tag} may be in the side of the ${name}, but does not serve its top.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.features.some((one) => one.kind === 'island' || one.kind === 'peninsula'),
  check: (view, limits, report) =>
    view.features.flatMap((feature) => {
      if (feature.kind !== 'island' && feature.kind !== 'peninsula') return [];
      return view.boxes.flatMap((box) => {
        if (box.at.kind !== 'feature' || box.at.feature !== feature.id || receptaclesOf(box).length === 0) return [];
        const belowIn = feature.heightIn - box.at.heightIn;
        if (belowIn <= 0) return [];
        const where = { room: view.room.id, box: box.id, feature: feature.id };
        const data = { tag: box.tag, name: feature.name || feature.kind };
        if (limits.serves === 0) return [report.pass('beside', data, where)];
        if (isLonger(belowIn, limits.belowIn))
          return [
            report.fail('deep', { ...data, below: belowIn }, where, {
              measured: (show) => show(belowIn),
              required: (show) => `${show(limits.belowIn)} at most`,
            }),
          ];
        const { overhangIn } = feature;
        if (overhangIn === undefined) return [report.cannotTell('overhang', data, where)];
        return [
          isLonger(overhangIn, limits.overhangIn)
            ? report.fail('hidden', { ...data, overhang: overhangIn }, where, {
                measured: (show) => show(overhangIn),
                required: (show) => `${show(limits.overhangIn)} of overhang at most`,
              })
            : report.pass('serves', data, where),
        ];
      });
    }),
});

interface Data {
  readonly tag: string;
  readonly name: string;
}
