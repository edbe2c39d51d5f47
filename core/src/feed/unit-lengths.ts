import { cableBetween, spotOfBox, spotOfPanel, type Spot } from '../circuits/cable-run';
import type { Box, House } from '../house/schema';
import type { WiringUnit } from './unit';

/** The panel, among the numbers of boxes. */
export const PANEL = -1;

/** Who feeds each box of a unit, by number: a box, or the panel. */
export type Parents = Int16Array;

/** The boxes of a unit, in an order that does not hang on that of the file: where two feed orders are alike, the same one is taken. */
export const boxesOf = (unit: WiringUnit): Box[] =>
  [...new Set(unit.outlets.map((one) => one.box))].sort((a, b) => (a.id < b.id ? -1 : 1));

/** Place of the panel; of its first box where no panel is drawn. */
export const startOf = (house: House, unit: WiringUnit, boxes: readonly Box[]): Spot =>
  unit.panel ? spotOfPanel(house, unit.panel) : spotOfBox(house, boxes[0]!);

/** The boxes of a unit by number, and how much cable lies between any two of them. */
export class UnitLengths {
  readonly boxes: readonly Box[];
  readonly #numbers = new Map<Box, number>();
  /** A row for each box, and one for the panel. */
  readonly #inches: Float64Array;

  /** As cable is usually run, unless `between` knows better how far it is from a box, or the panel, to a box. */
  constructor(
    readonly house: House,
    unit: WiringUnit,
    between?: (from: Box | undefined, to: Box) => number,
  ) {
    this.boxes = boxesOf(unit);
    const n = this.boxes.length;
    this.#inches = new Float64Array((n + 1) * n);
    if (n === 0) return;
    if (between) {
      this.boxes.forEach((to, i) => {
        this.#numbers.set(to, i);
        this.#inches[n * n + i] = between(undefined, to);
        this.boxes.forEach((from, k) => {
          if (k !== i) this.#inches[k * n + i] = between(from, to);
        });
      });
      return;
    }
    const spots = this.boxes.map((box) => spotOfBox(house, box));
    const start = startOf(house, unit, this.boxes);
    for (let to = 0; to < n; to++) {
      this.#numbers.set(this.boxes[to]!, to);
      this.#inches[n * n + to] = cableBetween(start, spots[to]!);
      for (let from = 0; from < to; from++) {
        const inches = cableBetween(spots[from]!, spots[to]!);
        this.#inches[from * n + to] = inches;
        this.#inches[to * n + from] = inches;
      }
    }
  }

  numberOf(box: Box): number {
    return this.#numbers.get(box)!;
  }

  /** Inches of cable from a box, or the panel, to a box. */
  inches(from: number, to: number): number {
    const n = this.boxes.length;
    return this.#inches[(from === PANEL ? n : from) * n + to]!;
  }
}
