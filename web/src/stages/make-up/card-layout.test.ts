import { readFileSync } from 'node:fs';
import { readHouseFile, wireHouse, type House } from '@winculum/core';
import { describe, expect, test } from 'vitest';
import { layoutCard, linePath } from './card-layout';

const read = readHouseFile(readFileSync(new URL('../../../../demo/studio-house.json', import.meta.url), 'utf8'));
const house: House = read.ok ? read.value : (undefined as never);
const wiring = wireHouse(house);
const cards = [...wiring.boxes.values()].map((one) => layoutCard(one));

describe('the cards of the demo house', () => {
  test('no two conductors lie on one another: every upright and every line has its place', () => {
    for (const card of cards) {
      const uprights = card.rows.flatMap((row) =>
        row.drops.map((drop) => ({
          x: drop.x,
          from: Math.min(row.y, drop.toY),
          to: Math.max(row.y, drop.toY),
          row: row.id,
        })),
      );
      for (const [i, a] of uprights.entries())
        for (const b of uprights.slice(i + 1))
          if (Math.abs(a.x - b.x) < 6) expect(Math.min(a.to, b.to) - Math.max(a.from, b.from)).toBeLessThanOrEqual(0);
      expect(new Set(card.rows.map((row) => row.y)).size).toBe(card.rows.length);
    }
  });

  test('every wire and every screw is on a row, inside the card', () => {
    for (const card of cards) {
      const wires = card.cables.reduce((sum, one) => sum + one.wires.length, 0);
      const screws = card.devices.reduce((sum, one) => sum + one.terminals.length, 0);
      expect(card.rows.reduce((sum, row) => sum + row.drops.length, 0)).toBe(wires + screws);
      for (const row of card.rows) {
        expect(row.from).toBeGreaterThan(card.left - 1);
        expect(row.to).toBeLessThan(card.width);
      }
    }
  });

  test('labels of cables stand beside each other', () => {
    for (const { cables } of cards)
      cables.slice(1).forEach((one, i) => expect(one.x).toBeGreaterThanOrEqual(cables[i]!.x + cables[i]!.width));
  });

  test('a line hops over each wire that crosses it', () => {
    const row = cards.flatMap((one) => one.rows).find((one) => one.hops.length > 1)!;
    expect(linePath(row).match(/A /g)).toHaveLength(row.hops.length);
  });
});
