import { describe, expect, it } from 'vitest';
import { outletsOn } from '../../circuits/outlets';
import { EDITIONS } from '../../house/schema';
import { byTheTool } from '../../test/by-the-tool';
import { garageDwelling } from '../../test/garage-dwelling';
import { withShop } from '../../test/supply-cases';
import { feederLoad } from '../../nec/requirements/feeder-load';

describe('a plan over two panels', () => {
  it.each(EDITIONS)(
    'no circuit of the dwelling feeds the garage, and each is in its own panel, under NEC %s',
    (edition) => {
      const house = byTheTool(garageDwelling(edition));
      const circuits = Object.values(house.circuits);
      expect(circuits.length).toBeGreaterThan(8);
      for (const circuit of circuits) {
        const units = new Set(outletsOn(house, circuit).map((one) => one.room.unit));
        expect(units.size, circuit.name).toBe(1);
        expect(circuit.panel, circuit.name).toBe(units.has('U') ? 'D' : 'P');
        expect(circuit.space, circuit.name).not.toBeNull();
        // The feeder of the dwelling takes 1 and 3 of the panel in the garage.
        if (circuit.panel === 'P') expect([1, 3]).not.toContain(circuit.space);
      }
      expect(feederLoad(house, house.feeders['F']!).isWholeDwelling).toBe(true);
    },
  );

  it('a shop with a panel of its own keeps its circuits to itself', () => {
    const house = byTheTool(
      withShop()
        .feature('kitchen', 'refrigerator', ['c0', 100, 36, 30], { heightIn: 70 })
        .opening('shop', 'c2', 'door', 40, 36)
        .opening('kitchen', 'c2', 'door', 40, 36)
        .build(),
    );
    const ofShop = Object.values(house.circuits).filter((one) =>
      outletsOn(house, one).some(({ room }) => room.id === 'shop'),
    );
    expect(ofShop.length).toBeGreaterThan(0);
    for (const circuit of ofShop) {
      expect(circuit.panel).toBe('Q');
      expect(outletsOn(house, circuit).every(({ room }) => room.id === 'shop')).toBe(true);
    }
  });
});
