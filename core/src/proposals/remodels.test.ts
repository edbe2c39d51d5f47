import { describe, expect, it } from 'vitest';
import { indexOutlets } from '../circuits/outlets';
import { EDITIONS, type House } from '../house/schema';
import { checkHouse } from '../nec/check-house';
import { byTheTool } from '../test/by-the-tool';
import { ofItsOwnMaking } from '../test/own-making';
import { SAMPLES } from '../test/samples';

const sample = (file: string, edition: (typeof EDITIONS)[number]): House => {
  const { house } = SAMPLES.find((one) => one.file === file)!;
  return { ...house, job: { ...house.job, edition } };
};

// What is in the walls stays in the walls: the tool lays out and plans what is new beside it.
describe.each(['kitchen-remodel', 'basement-finish'])('%s', (file) => {
  it.each(EDITIONS)(
    'by the tool alone, NEC %s: the new part is right, and nothing of the old one is touched',
    (edition) => {
      const before = sample(file, edition);
      const after = byTheTool(before, 'm');
      expect(Object.keys(after.boxes).length).toBeGreaterThan(Object.keys(before.boxes).length + 8);
      expect(ofItsOwnMaking(checkHouse(after).findings).map((one) => one.message)).toEqual([]);
      const { byDevice } = indexOutlets(after);
      for (const box of Object.values(before.boxes)) {
        expect(after.boxes[box.id]).toEqual(box);
        for (const { id, circuit } of Object.values(box.devices))
          expect(byDevice.get(id)!.device.circuit).toBe(circuit);
      }
      for (const circuit of Object.values(before.circuits)) {
        const { panel: _p, space: _s, ...was } = circuit;
        expect(after.circuits[circuit.id]).toMatchObject(was);
      }
    },
  );
});
