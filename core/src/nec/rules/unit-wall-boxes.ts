import type { Box, House } from '../../house/schema';
import { bodiesBackToBack } from '../../place/back-to-back';
import { toLoop, wallLoop } from '../../plan/wall-loop';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

/** Pairs of boxes on both sides of a wall between two dwelling units, or a unit and what it shares, and how far they are apart along it, inches. */
function pairsOf(house: House): { box: Box; other: Box; apartIn: number }[] {
  return Object.values(house.rooms).flatMap((room) => {
    const loop = wallLoop(room);
    return bodiesBackToBack(house, room.id).flatMap(({ box: other, wall, atIn }) => {
      // Of two rooms the one first by id speaks, so that each pair is told once.
      if (mustGet(house.rooms, other.room).unit === room.unit || room.id > other.room) return [];
      return Object.values(house.boxes).flatMap((box) =>
        box.room === room.id && box.at.kind === 'wall' && box.at.wall === wall
          ? [{ box, other, apartIn: Math.abs(toLoop(loop, wall, box.at.alongIn) - atIn) }]
          : [],
      );
    });
  });
}

export const unitWallBoxes = defineRule({
  id: 'unit-wall-boxes',
  meta: {
    summary: 'Boxes on both sides of a wall between dwelling units keep 24 in apart, or are made for it',
    stage: 'boxes',
    severity: 'caution',
    why: 'A wall between two dwellings holds a fire back for an hour. Two boxes across from each other are a hole through it.',
    editions: everyEdition({ section: 'IRC R302.4.2', limits: { apartIn: 24 }, basis: fromMemory('medium') }),
    messages: {
      near: ({ tag, other, apart, least }: Pair & { apart: number; least: number }, show) =>
        `${tag} and ${other} stand ${show(apart)} apart on both sides of a wall between dwelling units. ${show(least)} is wanted, or solid blocking between them, putty pads, or boxes listed for the wall.`,
      apart: ({ count }: { count: number }) =>
        `${count === 1 ? 'One pair of boxes' : `${count} pairs of boxes`} on both sides of walls between dwelling units: all far enough apart.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => Object.keys(house.units).length > 1 && pairsOf(house).length > 0,
  check: ({ house }, { apartIn: least }, report) => {
    const pairs = pairsOf(house);
    const near = pairs.filter(({ apartIn }) => apartIn < least - 1 / 16);
    if (near.length === 0) return [report.pass('apart', { count: pairs.length }, {})];
    return near.map(({ box, other, apartIn }) =>
      report.fail('near', { tag: box.tag, other: other.tag, apart: apartIn, least }, { room: box.room, box: box.id }),
    );
  },
});

interface Pair {
  readonly tag: string;
  readonly other: string;
}
