import { COVERING_LAYERS, type Covering, type CoveringLayer } from '../house/schema';
import { parseLength } from '../units/length';
import { refuse, succeed, type Result } from '../units/result';

type Layer = NonNullable<Covering['layers']>[number];

/** Words that mean a layer of the list. */
const ALSO: Readonly<Record<string, CoveringLayer>> = {
  drywall: 'gypsum',
  board: 'gypsum',
  'gypsum board': 'gypsum',
  cement: 'backer',
  'backer board': 'backer',
  thinset: 'mortar',
  marble: 'stone',
  plywood: 'wood',
  paneling: 'wood',
  strapping: 'furring',
};
const layerOf = (word: string): CoveringLayer | undefined =>
  COVERING_LAYERS.find((one) => one === word) ?? (Object.hasOwn(ALSO, word) ? ALSO[word] : undefined);

const problem = (message: string) => refuse('field', 'layers', message);

/**
 * Layers of a wall covering from the studs outwards as they are called out, each a word and a thickness in either order. Lengths in inches.
 * @example readLayers('gypsum 1/2, tile 3/8') and readLayers('1/2 drywall + 3/8 tile') are the same two layers
 */
export function readLayers(line: string): Result<readonly Layer[]> {
  const layers: Layer[] = [];
  for (const part of line.split(/[,+]/).map((one) => one.trim().toLowerCase())) {
    if (part === '') continue;
    const [, before = '', word = '', after = ''] =
      /^([\d\s/."'-]*?)\s*([a-z][a-z ]*?)\s*([\d\s/."'-]*)$/.exec(part) ?? [];
    const kind = layerOf(word.trim());
    if (!kind)
      return problem(`“${part}” names no layer. Say one of ${COVERING_LAYERS.join(', ')}, with its thickness.`);
    const read = parseLength((before || after).trim(), `Thickness of ${kind}`);
    if (!read.ok || read.value <= 0 || read.value > 6)
      return problem(`“${part}” needs a thickness of up to 6 in, as in “${kind} 1/2”.`);
    layers.push({ kind, thicknessIn: read.value });
  }
  return layers.length > 6 ? problem('A covering has six layers at most.') : succeed(layers);
}

/** The whole covering that layers make: its kind is what is seen. Undefined without any. */
export function coveringOf(layers: readonly Layer[]): Covering | undefined {
  const last = layers.at(-1);
  if (!last) return undefined;
  const seen: Readonly<Partial<Record<CoveringLayer, Covering['kind']>>> = {
    tile: 'tile',
    stone: 'tile',
    wood: 'wood',
    plaster: 'plaster',
  };
  return {
    kind: seen[last.kind] ?? 'gypsum',
    thicknessIn: layers.reduce((sum, one) => sum + one.thicknessIn, 0),
    layers: [...layers],
  };
}
