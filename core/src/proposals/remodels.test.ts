import { describe, expect, it } from 'vitest';
import { indexOutlets } from '../circuits/outlets';
import { removeEntities } from '../edits/remove';
import { EDITIONS, type House } from '../house/schema';
import { boxToBuy } from '../makeup/box-fill';
import { checkHouse } from '../nec/check-house';
import { byTheTool } from '../test/by-the-tool';
import { must } from '../test/must';
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

it('a remodeled house without alarms gets them: on a battery where ceilings stay closed, and all of them by radio', () => {
  const house = sample('kitchen-remodel', '2023');
  const silent = must(
    removeEntities(
      house,
      Object.values(house.boxes)
        .filter((box) => Object.values(box.devices).some((one) => one.kind === 'alarm'))
        .map(({ id }) => ({ collection: 'boxes' as const, id })),
    ),
  ).house;
  const after = byTheTool(silent, 'a');
  const alarms = indexOutlets(after).alarms.flatMap(({ device, room }) =>
    device.kind === 'alarm' ? [{ device, room }] : [],
  );
  expect(alarms.filter(({ room }) => room.closed).length).toBeGreaterThan(3);
  for (const { device, room } of alarms) {
    expect(device.wireless, room.name).toBe(true);
    expect(device.battery, room.name).toBe(room.closed ? true : undefined);
    if (device.battery) expect(device.circuit).toBeNull();
  }
  expect(ofItsOwnMaking(checkHouse(after).findings).map((one) => one.message)).toEqual([]);
  const plates = Object.values(after.boxes).filter((box) => boxToBuy(after, box).id === 'alarm-plate');
  expect(plates).toHaveLength(alarms.filter(({ device }) => device.battery).length);
});
