import { describe, expect, it } from 'vitest';
import { feederSchema, panelSchema, sourceSchema, type House } from '../../../../core/src/house/schema';
import { garageDwelling } from '../../../../core/src/test/garage-dwelling';
import { served, twoMains, twoUnits, withShop } from '../../../../core/src/test/supply-cases';
import { layOutOneLine, type OneLineDrawing } from './one-line-layout';

/** Four panels in a tree three deep, with a generator and an array. */
const crowded = (): House =>
  withShop()
    .with((house) => {
      for (const [id, from] of [
        ['R', 'P'],
        ['S', 'Q'],
      ] as const) {
        house.panels[id] = panelSchema.parse({ id, name: id, room: 'shop', spaces: 12, mainA: 60 });
        const conductor = { size: '6' };
        house.feeders[`F${id}`] = feederSchema.parse({
          id: `F${id}`,
          from,
          to: id,
          ratingA: 60,
          conductor,
          ground: '10',
        });
      }
      for (const [id, kind] of [
        ['G', 'generator'],
        ['A', 'solar'],
      ] as const)
        house.sources[id] = sourceSchema.parse({ id, name: id, kind, runningW: 5000, panel: 'P' });
    })
    .build();

const boxes = ({ nodes }: OneLineDrawing) =>
  nodes.map((node) => ({
    name: node.words[0],
    left: node.x - node.width / 2,
    right: node.x + node.width / 2,
    top: node.y,
    bottom: node.y + node.height,
  }));

describe('the one-line', () => {
  it.each([
    ['one panel', served().build()],
    ['a house on a cord', served({ kind: 'cord', volts: '120', cordA: 30 }).build()],
    ['off the grid', served({ kind: 'off-grid' }).build()],
    ['a shop', withShop().build()],
    ['a dwelling over a garage', garageDwelling('2020')],
    ['two units', twoUnits('hall').build()],
    ['two mains on one service', twoMains().build()],
    ['four panels and two sources', crowded()],
    [
      'a panel that nobody feeds',
      withShop()
        .with((house) => void delete house.feeders['F'])
        .build(),
    ],
  ])('%s: every part stands once, within the drawing, apart from all others', (_, house) => {
    const drawing = layOutOneLine(house);
    const ids = (kind: string) => drawing.nodes.filter((one) => one.part.kind === kind).map((one) => one.part.id);
    expect(ids('panel').sort()).toEqual(Object.keys(house.panels).sort());
    expect(ids('source').sort()).toEqual(Object.keys(house.sources).sort());
    const feeders = drawing.edges.filter((one) => one.part.kind === 'feeder').map((one) => one.part.id);
    expect(feeders.sort()).toEqual(Object.keys(house.feeders).sort());
    // What grounds a panel is written beside it, 30 px on, within the drawing.
    for (const { x, width, ground = [] } of drawing.nodes)
      for (const word of ground) expect(x + width / 2 + 30 + 6 * word.length, word).toBeLessThan(drawing.width);
    const all = boxes(drawing);
    for (const [i, a] of all.entries()) {
      expect(a.left, a.name).toBeGreaterThanOrEqual(0);
      expect(a.right, a.name).toBeLessThanOrEqual(drawing.width);
      expect(a.bottom, a.name).toBeLessThanOrEqual(drawing.height);
      for (const b of all.slice(i + 1))
        expect(
          a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top,
          `${a.name}, ${b.name}`,
        ).toBe(true);
    }
  });

  it('says of a feeder its breaker, conductors, way and load, and of a building what grounds it', () => {
    const { edges, nodes } = layOutOneLine(
      withShop({ lengthFt: 80, coverIn: 18 }, { building: { electrodes: ['two-rods'] } }).build(),
    );
    expect(edges.find((one) => one.part.kind === 'feeder')?.words).toEqual([
      '60 A, 2 poles; load 0 A',
      'No. 6 Cu, No. 10 ground',
      `in PVC 40 1 in, 80 ft, 1'-6" deep`,
    ]);
    expect(nodes.find((one) => one.part.id === 'Q')).toMatchObject({
      ground: ['two rods'],
      words: expect.arrayContaining(['Shop']) as string[],
    });
  });

  it('says so where nothing keeps a source apart from the utility', () =>
    expect(layOutOneLine(crowded()).edges.flatMap((one) => one.words)).toContain('nothing between'));
});
