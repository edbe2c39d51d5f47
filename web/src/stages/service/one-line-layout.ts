import {
  buildingOfPanel,
  feederLoad,
  feedersFrom,
  feederTo,
  formatLength,
  scheduleOf,
  servicePanel,
  servicePanels,
  type Feeder,
  type House,
  type Panel,
  type Source,
} from '@winculum/core';

/** What a person picked on the diagram: a panel, a feeder, a source, or how power comes in. */
export interface PartRef {
  readonly kind: 'supply' | 'panel' | 'feeder' | 'source';
  readonly id: string;
}
export type NodeShape = 'utility' | 'cord' | 'meter' | 'disconnect' | 'panel' | 'generator' | 'inverter';
export interface OneLineNode {
  readonly part: PartRef;
  readonly shape: NodeShape;
  /** Middle of its top, and its size. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly words: readonly string[];
  /** What grounds it, where electrodes stand at it. */
  readonly ground?: readonly string[];
}
export interface OneLineEdge {
  readonly part: PartRef;
  readonly points: readonly (readonly [x: number, y: number])[];
  readonly words: readonly string[];
  /** Where its words stand. */
  readonly at: readonly [x: number, y: number];
}
export interface OneLineDrawing {
  readonly nodes: readonly OneLineNode[];
  readonly edges: readonly OneLineEdge[];
  readonly width: number;
  readonly height: number;
}

/** Where the words at a ground begin beside its panel, and how wide a small letter is at most. */
const [GROUND_WORDS_AT, LETTER] = [30, 6.5];
const [PANEL_WIDTH, PANEL_HEIGHT, COLUMN, ROW, TOP] = [150, 86, 300, 190, 12];
const METALS = { copper: 'Cu', aluminum: 'Al' } as const;
const WIRING = {
  nonmetallic: 'nonmetallic cable',
  'service-entrance': 'SER cable',
  underground: 'UF cable',
  raceway: 'in',
} as const;
const RACEWAY_WORDS = { 'pvc-40': 'PVC 40', 'pvc-80': 'PVC 80', emt: 'EMT', rigid: 'rigid' } as const;
const TRANSFER = {
  none: 'nothing between',
  interlock: 'interlock',
  'manual-switch': 'manual transfer',
  automatic: 'automatic transfer',
  interactive: 'interactive',
} as const;
export const ELECTRODE_WORDS = {
  'concrete-encased': 'steel in the footing',
  'water-pipe': 'water pipe',
  'one-rod': 'one rod',
  'two-rods': 'two rods',
  plate: 'plate',
  ring: 'ring',
} as const;

const sized = (size: string) => (size.includes('kcmil') ? size : `No. ${size}`);

function feederWords(house: House, feeder: Feeder): string[] {
  const { conductor, neutral, ground, wiring, raceway, lengthFt, ratingA, poles } = feeder;
  const grounds = ground === 'raceway' || ground === 'none' ? `ground: ${ground}` : `${sized(ground)} ground`;
  const way = raceway ? `${WIRING.raceway} ${RACEWAY_WORDS[raceway.kind]} ${raceway.trade} in` : WIRING[wiring];
  const { amps } = feederLoad(house, feeder);
  return [
    `${ratingA} A, ${poles === 2 ? '2 poles' : '1 pole'}; load ${amps.toFixed(0)} A`,
    `${sized(conductor.size)} ${METALS[conductor.metal]}${neutral ? `, neutral ${sized(neutral)}` : ''}, ${grounds}`,
    `${way}${lengthFt ? `, ${lengthFt} ft` : ''}${feeder.coverIn ? `, ${formatLength(feeder.coverIn, house.standards.lengths)} deep` : ''}`,
  ];
}

function panelWords(house: House, panel: Panel): string[] {
  const { legVa, freeSpaces } = scheduleOf(house, panel.id);
  const building = buildingOfPanel(house, panel);
  return [
    panel.name,
    panel.main === 'lugs' ? `lugs only, ${panel.busA ?? panel.mainA} A` : `${panel.mainA} A main`,
    `${panel.spaces} spaces, ${freeSpaces} free`,
    `A ${(legVa.A / 1000).toFixed(1)} · B ${(legVa.B / 1000).toFixed(1)} kVA`,
    ...(building ? [building.name] : []),
  ];
}

function groundOf(house: House, panel: Panel): readonly string[] | undefined {
  const isFirst = panel.id === servicePanel(house)?.id;
  if (!isFirst && !buildingOfPanel(house, panel)) return undefined;
  const electrodes = isFirst ? house.supply.electrodes : buildingOfPanel(house, panel)?.electrodes;
  if (isFirst && house.supply.kind === 'cord') return undefined;
  if (!electrodes) return ['electrodes:', 'not said'];
  const conductor = isFirst ? house.supply.electrodeConductor : undefined;
  const words: string[] = electrodes.map((one) => ELECTRODE_WORDS[one]);
  return [
    ...(words.length > 0 ? words : ['no electrode']),
    ...(conductor ? [`${sized(conductor.size)} ${METALS[conductor.metal]}`] : []),
  ];
}

/** Where everything of the one-line stands: how power comes in above, and below it the panels as they feed each other. */
export function layOutOneLine(house: House): OneLineDrawing {
  const nodes: OneLineNode[] = [];
  const edges: OneLineEdge[] = [];
  const first = servicePanel(house);
  let column = 0;
  let lowest = 0;

  const place = (node: OneLineNode): OneLineNode => {
    nodes.push(node);
    lowest = Math.max(lowest, node.y + node.height);
    return node;
  };
  /** A panel with what hangs on it; answers the middle of its top. */
  function placePanel(panel: Panel, y: number): number {
    const fed = feedersFrom(house, panel.id);
    const sources = Object.values(house.sources).filter((one) => one.panel === panel.id);
    const below = y + ROW;
    const hung: { x: number; feeder?: Feeder; source?: Source }[] = [
      ...fed.map((feeder) => ({ x: placePanel(house.panels[feeder.to]!, below), feeder })),
      ...sources.map((source) => ({ x: COLUMN * (column++ + 0.5), source })),
    ];
    const x = hung.length > 0 ? (hung[0]!.x + hung.at(-1)!.x) / 2 : COLUMN * (column++ + 0.5);
    const words = panelWords(house, panel);
    const ground = groundOf(house, panel);
    const height = PANEL_HEIGHT + (words.length > 4 ? 16 : 0);
    place({
      part: { kind: 'panel', id: panel.id },
      shape: 'panel',
      x,
      y,
      width: PANEL_WIDTH,
      height,
      words,
      ...(ground ? { ground } : {}),
    });
    const turn = y + height + 20;
    for (const { x: to, feeder, source } of hung) {
      const part: PartRef = feeder ? { kind: 'feeder', id: feeder.id } : { kind: 'source', id: source!.id };
      edges.push({
        part,
        points: [
          [x, y + height],
          [x, turn],
          [to, turn],
          [to, below],
        ],
        words: feeder ? feederWords(house, feeder) : [TRANSFER[source!.transfer]],
        at: [to + 8, turn + 18],
      });
      if (source)
        place({
          part,
          shape: source.kind === 'generator' ? 'generator' : 'inverter',
          x: to,
          y: below,
          width: 60,
          height: 60,
          words: [source.name, `${(source.runningW / 1000).toFixed(1)} kW, ${source.volts} V`],
        });
    }
    return x;
  }

  const { supply } = house;
  const isLate = house.job.edition === '2020' || house.job.edition === '2023';
  const hasMeter = supply.kind === 'utility';
  const hasSwitch = hasMeter && isLate;
  const panelY = TOP + 50 + (hasMeter ? 80 : 40) + (hasSwitch ? 84 : 0);
  if (first) {
    const x = placePanel(first, panelY);
    const head: PartRef = { kind: 'supply', id: '' };
    const said = supply.conductor
      ? `${sized(supply.conductor.size)} ${METALS[supply.conductor.metal]}${supply.neutral ? `, neutral ${sized(supply.neutral)}` : ''}`
      : 'conductors: not said';
    let at = TOP;
    const chain = (node: Omit<OneLineNode, 'part' | 'x' | 'y'>, gap: number, words: readonly string[] = []) => {
      if (at > TOP)
        edges.push({
          part: head,
          points: [
            [x, at],
            [x, at + gap],
          ],
          words,
          at: [x + 8, at + gap / 2 + 4],
        });
      at += at > TOP ? gap : 0;
      place({ part: head, x, y: at, ...node });
      at += node.height;
    };
    if (supply.kind === 'cord')
      chain(
        {
          shape: 'cord',
          width: 60,
          height: 30,
          words: [`${supply.volts} V cord`, supply.cordA ? `${supply.cordA} A` : 'rating: not said'],
        },
        0,
      );
    else if (supply.kind === 'utility')
      chain(
        {
          shape: 'utility',
          width: 28,
          height: 26,
          words: [
            `Utility, ${supply.volts} V`,
            ...(supply.faultA ? [`${supply.faultA.toLocaleString('en-US')} A fault current`] : []),
          ],
        },
        0,
      );
    if (hasMeter)
      chain({ shape: 'meter', width: 40, height: 40, words: ['Meter; ask the utility what it requires'] }, 24);
    if (hasSwitch)
      chain(
        {
          shape: 'disconnect',
          width: PANEL_WIDTH,
          height: 40,
          words: [
            'Emergency disconnect',
            supply.emergencyDisconnect === 'yes'
              ? 'outdoors, 230.85'
              : supply.emergencyDisconnect === 'no'
                ? 'missing: 230.85'
                : 'not said: 230.85',
          ],
        },
        26,
      );
    const isDrawn = nodes.some((node) => node.part === head);
    const middle = (at + panelY) / 2;
    // Under the words of the conductors.
    const branchY = panelY - 12;
    if (isDrawn)
      edges.push({
        part: head,
        points: [
          [x, at],
          [x, panelY],
        ],
        words: [said],
        at: [x + 8, middle + 4],
      });
    // The mains beside the first one hang on the same service conductors: 230.71.
    for (const panel of servicePanels(house)) {
      if (panel === first) continue;
      const beside = placePanel(panel, panelY);
      if (isDrawn)
        edges.push({
          part: head,
          points: [
            [x, branchY],
            [beside, branchY],
            [beside, panelY],
          ],
          words: [],
          at: [beside, branchY],
        });
    }
  }
  const onService = new Set(servicePanels(house));
  for (const panel of Object.values(house.panels))
    if (!onService.has(panel) && !feederTo(house, panel.id)) placePanel(panel, panelY);
  const wordsEnd = nodes.map(({ x, width, ground = [] }) => {
    const letters = Math.max(0, ...ground.map((one) => one.length));
    return letters > 0 ? x + width / 2 + GROUND_WORDS_AT + letters * LETTER : 0;
  });
  return { nodes, edges, width: Math.max(1.3 * COLUMN, column * COLUMN, ...wordsEnd), height: lowest + 30 };
}
