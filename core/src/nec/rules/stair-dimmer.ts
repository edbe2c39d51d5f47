import { interiorStairs } from '../requirements/interior-stairs';
import { defineRule, fromMemory, type EditionEntry } from '../rule';

const entry: EditionEntry<{ minRisers: number }> = {
  section: '210.70(A)(2)',
  limits: { minRisers: 6 },
  basis: fromMemory('medium'),
};
const DIMS: ReadonlySet<string> = new Set(['dimmer', 'add-on', 'smart', 'smart-no-neutral']);

export const stairDimmer = defineRule({
  id: 'stair-dimmer',
  meta: {
    summary: 'Stair light on a dimmer can be dimmed and raised from every place',
    stage: 'switching',
    severity: 'violation',
    ofItsDay: true,
    why: 'Dimmed to nothing at the top, the stair stays dark however often the plain switch at its foot is moved.',
    editions: { '2017': entry, '2020': entry, '2023': entry },
    messages: {
      partly: ({ name, dims, all }: Data) =>
        `${name} lights a stair and is dimmed from ${dims} of its ${all} places: every place needs the full range. Take add-on switches, or plain switches.`,
      fully: ({ name }: Data) => `${name} is dimmed over its full range from every place.`,
    },
  },
  scope: 'house',
  reads: 'lights',
  appliesTo: ({ outlets }) =>
    outlets.lights.some(({ device }) => device.kind === 'switch' && device.style === 'dimmer'),
  check: ({ house, outlets, views }, limits, report) => {
    const stairs = new Set(
      views.flatMap((view) =>
        interiorStairs(view).some((one) => (one.risers ?? limits.minRisers) >= limits.minRisers) ? [view.room.id] : [],
      ),
    );
    return Object.values(house.switchGroups).flatMap((group) => {
      const find = (ids: readonly string[]) => ids.flatMap((id) => outlets.byDevice.get(id) ?? []);
      const lit = find(group.controls).find((one) => one.device.kind === 'luminaire' && stairs.has(one.room.id));
      const styles = find(group.switches).flatMap(({ device }) => (device.kind === 'switch' ? [device.style] : []));
      if (!lit || !styles.includes('dimmer')) return [];
      const data = { name: group.name, dims: styles.filter((one) => DIMS.has(one)).length, all: styles.length };
      const where = { room: lit.room.id, box: lit.box.id };
      return [data.dims < data.all ? report.fail('partly', data, where) : report.pass('fully', data, where)];
    });
  },
});

interface Data {
  readonly name: string;
  readonly dims: number;
  readonly all: number;
}
