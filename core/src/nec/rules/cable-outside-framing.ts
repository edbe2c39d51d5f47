import { keptCables } from '../../route/kept-laid';
import { slabConduits, type SlabConduit } from '../../route/slab-conduits';
import { given, itemAt } from '../../units/result';
import { slabConduitsRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const cableOutsideFraming = defineRule({
  id: 'cable-outside-framing',
  meta: {
    summary: 'Where a cable leaves the framing it is of a kind, or in a raceway, that is made for the place',
    stage: 'routes',
    severity: 'reminder',
    why: 'Nonmetallic cable is made for dry walls. Water creeps along its paper, a spade or a shovel finds it on a face or in the ground.',
    editions: everyEdition({ section: '334.12(B)', limits: {}, basis: fromMemory('high') }),
    messages: {
      outside: ({ tags }: Tags) =>
        `The cable to ${tags} leaves the house. Nonmetallic cable is not for wet places and not for the ground: take underground cable (UF-B), or wet-rated conductors in a raceway from a box inside.`,
      slab: ({ tags }: Tags) =>
        `The way to ${tags} lies under a floor on the ground. No nonmetallic cable lies in concrete: set conduit before it is poured, with wet-rated conductors (THWN), from a box in the wall.`,
      set: ({ tags, sleeves }: Tags & { sleeves: string }) =>
        `The way to ${tags} under the floor is a conduit: ${sleeves}.`,
      surface: ({ tags }: Tags) =>
        `The cable to ${tags} comes down the face of a wall without studs. It follows the surface closely and is protected by conduit where it can be hit.`,
      rafters: ({ tags }: Tags) =>
        `The cable to ${tags} lies between rafters under a roof without an attic: 1 1/4 in from the faces that roofers and drywallers nail, or plated.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => keptCables(house).some(({ route }) => route.legs.some((leg) => leg.kind === 'end')),
  check: ({ house }, _limits, report) => {
    const tags = new Map<Exclude<keyof typeof SECTIONS, 'slab'>, Set<string>>();
    for (const { route, toLabel, fromLabel } of keptCables(house))
      route.legs.forEach((leg, i) => {
        if (leg.kind !== 'end' || leg.note === 'slab') return;
        const list = tags.get(leg.note) ?? new Set();
        tags.set(leg.note, list.add(i === 0 ? fromLabel : toLabel));
      });
    const conduits = slabConduits(house);
    const set = conduits.filter((one) => one.sleeve);
    const open = conduits.filter((one) => !one.sleeve);
    const boxes = (some: readonly SlabConduit[]) => ({ tags: listOf(some.map((one) => one.box.tag)) });
    const section = SECTIONS.slab;
    return [
      ...[...tags].map(([note, list]) =>
        report.fail(note, { tags: listOf([...list]) }, {}, { section: SECTIONS[note] }),
      ),
      ...(open.length > 0
        ? [
            report.fail(
              'slab',
              boxes(open),
              { box: itemAt(open, 0).box.id },
              { section, remedies: [slabConduitsRemedy(open.length)] },
            ),
          ]
        : []),
      ...(set.length > 0
        ? [
            report.pass(
              'set',
              { ...boxes(set), sleeves: listOf(set.map((one) => given(one.sleeve).name)) },
              {},
              { section },
            ),
          ]
        : []),
    ];
  },
});

const SECTIONS = {
  outside: '334.12(B)(4), 340.10',
  slab: '334.12(A)(9), 300.5',
  surface: '334.15(A), (B)',
  rafters: '334.17, 300.4(D)',
} as const;

const listOf = (tags: readonly string[]): string =>
  tags.length <= 4 ? tags.join(', ') : `${tags.slice(0, 4).join(', ')} and ${tags.length - 4} more`;

interface Tags {
  readonly tags: string;
}
