import { receptaclesOf } from '../../place/receptacles';
import { defineRule, fromMemory } from '../rule';

export const belowCounterReceptacle = defineRule({
  id: 'below-counter-receptacle',
  meta: {
    summary: 'Receptacles in the side of an island: how far below the top, and whether they serve it',
    stage: 'boxes',
    severity: 'violation',
    why: 'A cord that hangs down an island\u2019s side is pulled by children, with the hot pot at its end. Each edition allowed less: since 2023 such a receptacle no longer serves the counter.',
    editions: {
      '2014': {
        section: '210.52(C)(5) Exception',
        limits: { belowIn: 12, serves: 1 },
        basis: fromMemory('high'),
      },
      '2017': {
        section: '210.52(C)(5) Exception',
        limits: { belowIn: 12, serves: 1 },
        basis: fromMemory('high'),
      },
      '2020': { section: '210.52(C)(3)', limits: { belowIn: 12, serves: 1 }, basis: fromMemory('high') },
      '2023': { section: '210.52(C)(3)', limits: { belowIn: 12, serves: 0 }, basis: fromMemory('high') },
    },
    messages: {
      deep: ({ tag, name, below }: { tag: string; name: string; below: number }, show) =>
        `${tag} stands ${show(below)} below the top of the ${name}.`,
      serves: ({ tag, name }: { tag: string; name: string }) => `${tag} may serve the ${name} from its side.`,
      only: ({ name }: { name: string }) =>
        `The ${name} has a receptacle in its side only: it may be there, but does not serve the counter. Set one listed for countertops into the top, or keep a provision.`,
      beside: ({ tag, name }: { tag: string; name: string }) =>
        `${tag} in the side of the ${name} is there besides what serves its top.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.features.some((one) => one.kind === 'island' || one.kind === 'peninsula'),
  check: (view, limits, report) =>
    view.features.flatMap((feature) => {
      if (feature.kind !== 'island' && feature.kind !== 'peninsula') return [];
      const name = feature.name || feature.kind;
      const own = view.boxes.filter(
        (box) => box.at.kind === 'feature' && box.at.feature === feature.id && receptaclesOf(box).length > 0,
      );
      const below = own.filter((box) => box.at.kind === 'feature' && box.at.heightIn < feature.heightIn);
      const onTop = own.length > below.length;
      return below.map((box) => {
        const where = { room: view.room.id, box: box.id, feature: feature.id };
        if (limits.serves === 0)
          return onTop || feature.provision
            ? report.pass('beside', { tag: box.tag, name }, where)
            : report.fail('only', { name }, where, {
                measured: () => 'below the top',
                required: () => 'in or above the top, or a provision for one',
              });
        const deep = feature.heightIn - (box.at.kind === 'feature' ? box.at.heightIn : 0);
        return deep > limits.belowIn + 1 / 64
          ? report.fail('deep', { tag: box.tag, name, below: deep }, where, {
              measured: (show) => show(deep),
              required: (show) => `${show(limits.belowIn)} at most`,
            })
          : report.pass('serves', { tag: box.tag, name }, where);
      });
    }),
});
