import { holdingsOf } from './integrity-boxes';
import { rememberBy, rememberEach, type Find, type Report } from './remember';
import type { House } from './schema';

/** Says of an id that it must point at something. The path is written only when it does not. */
function need(report: Report, to: string | null, isThere: (id: string) => boolean, path: () => string): void {
  if (to !== null && !isThere(to))
    report('dangling', path(), `Nothing has the id "${to}". Mend the id or remove the entry.`);
}
/** Feeders make a tree: a panel is fed once, and never by way of itself. */
function checkFeeders({ feeders, panels }: House, report: Report): void {
  const fedBy = new Map<string, string>();
  for (const { id, from, to } of Object.values(feeders)) {
    const name = panels[to]?.name ?? to;
    if (fedBy.has(to)) report('fed-twice', `feeders.${id}.to`, `${name} is fed twice. Remove one of its feeders.`);
    fedBy.set(to, from);
  }
  for (const { id, to } of Object.values(feeders)) {
    let at: string | undefined = to;
    for (let n = 0; at !== undefined && n <= fedBy.size; n++) at = fedBy.get(at);
    if (at !== undefined)
      report(
        'fed-in-a-circle',
        `feeders.${id}.from`,
        `${panels[to]?.name ?? to} is fed by way of itself. Start the feeder at a panel nearer the service.`,
      );
  }
}
const isIn = (records: object) => (id: string) => Object.hasOwn(records, id);
/** What boxes hold stands for the boxes: it is the same object until one comes, goes or holds something else. */
const held = (house: House) => holdingsOf(house.boxes);

/** Every id that points elsewhere must point at something: collection by collection, with the collections it points into. */
export const findDangling: readonly Find[] = [
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.rooms))
        need(report, one.level, isIn(house.levels), () => `rooms.${one.id}.level`);
    },
    (house) => [house.rooms, house.levels],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.openings))
        need(report, one.room, isIn(house.rooms), () => `openings.${one.id}.room`);
    },
    (house) => [house.openings, house.rooms],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.features))
        need(report, one.room, isIn(house.rooms), () => `features.${one.id}.room`);
    },
    (house) => [house.features, house.rooms],
  ),
  rememberEach(
    (house) => house.boxes,
    (house, box, report) => {
      need(report, box.room, isIn(house.rooms), () => `boxes.${box.id}.room`);
      if (box.at.kind === 'feature')
        need(report, box.at.feature, isIn(house.features), () => `boxes.${box.id}.at.feature`);
      for (const device of Object.values(box.devices))
        need(report, device.circuit, isIn(house.circuits), () => `boxes.${box.id}.devices.${device.id}.circuit`);
    },
    (house) => [house.rooms, house.features, house.circuits],
  ),
  rememberBy(
    (house, report) => {
      for (const load of Object.values(house.loads)) {
        need(report, load.box, isIn(house.boxes), () => `loads.${load.id}.box`);
        const devices = house.boxes[load.box]?.devices ?? {};
        need(report, load.device, isIn(devices), () => `loads.${load.id}.device`);
      }
    },
    (house) => [house.loads, held(house)],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.circuits)) {
        need(report, one.panel, isIn(house.panels), () => `circuits.${one.id}.panel`);
        const twin = one.sharesNeutralWith ?? null;
        need(report, twin, isIn(house.circuits), () => `circuits.${one.id}.sharesNeutralWith`);
        need(report, one.gfciFirst, isIn(held(house).devices), () => `circuits.${one.id}.gfciFirst`);
      }
    },
    (house) => [house.circuits, house.panels, held(house)],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.panels)) {
        need(report, one.room, isIn(house.rooms), () => `panels.${one.id}.room`);
        need(report, one.feature, isIn(house.features), () => `panels.${one.id}.feature`);
      }
    },
    (house) => [house.panels, house.rooms, house.features],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.rooms)) {
        need(report, one.building ?? null, isIn(house.buildings), () => `rooms.${one.id}.building`);
        need(report, one.unit ?? null, isIn(house.units), () => `rooms.${one.id}.unit`);
      }
    },
    (house) => [house.rooms, house.buildings, house.units],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.feeders)) {
        need(report, one.from, isIn(house.panels), () => `feeders.${one.id}.from`);
        need(report, one.to, isIn(house.panels), () => `feeders.${one.id}.to`);
      }
      checkFeeders(house, report);
    },
    (house) => [house.feeders, house.panels],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.sources)) {
        need(report, one.panel, isIn(house.panels), () => `sources.${one.id}.panel`);
        for (const circuit of one.circuits ?? [])
          need(report, circuit, isIn(house.circuits), () => `sources.${one.id}.circuits`);
      }
    },
    (house) => [house.sources, house.panels, house.circuits],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.cables)) {
        need(report, one.circuit, isIn(house.circuits), () => `cables.${one.id}.circuit`);
        need(report, one.from, isIn(house.boxes), () => `cables.${one.id}.from`);
        need(report, one.to, isIn(house.boxes), () => `cables.${one.id}.to`);
      }
    },
    (house) => [house.cables, house.circuits, held(house)],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.uses))
        need(report, one.room, isIn(house.rooms), () => `uses.${one.id}.room`);
      for (const { id, at } of Object.values(house.photos))
        if (at.kind !== 'house') need(report, at.room, isIn(house.rooms), () => `photos.${id}.at.room`);
      for (const one of Object.values(house.inspections))
        for (const room of one.rooms ?? []) need(report, room, isIn(house.rooms), () => `inspections.${one.id}.rooms`);
      for (const { id, change } of Object.values(house.decisions))
        if (change.kind === 'answer')
          need(report, change.room ?? null, isIn(house.rooms), () => `decisions.${id}.change.room`);
    },
    (house) => [house.uses, house.photos, house.inspections, house.decisions, house.rooms],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.sleeves))
        for (const end of ['from', 'to'] as const) {
          need(report, one[end].room, isIn(house.rooms), () => `sleeves.${one.id}.${end}.room`);
          need(report, one[end].box ?? null, isIn(house.boxes), () => `sleeves.${one.id}.${end}.box`);
        }
    },
    (house) => [house.sleeves, house.rooms, held(house)],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.comments)) {
        need(report, one.room ?? null, isIn(house.rooms), () => `comments.${one.id}.room`);
        need(report, one.box ?? null, isIn(house.boxes), () => `comments.${one.id}.box`);
        need(report, one.circuit ?? null, isIn(house.circuits), () => `comments.${one.id}.circuit`);
        need(report, one.answers ?? null, isIn(house.comments), () => `comments.${one.id}.answers`);
      }
    },
    (house) => [house.comments, house.rooms, house.circuits, held(house)],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.tasks)) {
        need(report, one.room ?? null, isIn(house.rooms), () => `tasks.${one.id}.room`);
        need(report, one.box ?? null, isIn(house.boxes), () => `tasks.${one.id}.box`);
        need(report, one.inspection ?? null, isIn(house.inspections), () => `tasks.${one.id}.inspection`);
      }
    },
    (house) => [house.tasks, house.inspections, house.rooms, held(house)],
  ),
  rememberBy(
    (house, report) => {
      for (const one of Object.values(house.routes)) {
        need(report, one.circuit, isIn(house.circuits), () => `routes.${one.id}.circuit`);
        need(report, one.from, isIn(house.boxes), () => `routes.${one.id}.from`);
        need(report, one.to, isIn(house.boxes), () => `routes.${one.id}.to`);
        one.legs.forEach((leg, i) => {
          if ('room' in leg) need(report, leg.room, isIn(house.rooms), () => `routes.${one.id}.legs.${i}.room`);
          if (leg.kind !== 'space') return;
          need(report, leg.over, isIn(house.levels), () => `routes.${one.id}.legs.${i}.over`);
          need(report, leg.under, isIn(house.levels), () => `routes.${one.id}.legs.${i}.under`);
        });
      }
    },
    (house) => [house.routes, house.circuits, house.rooms, house.levels, held(house)],
  ),
  rememberBy(
    (house, report) => {
      const { devices } = held(house);
      for (const { id, switches, controls } of Object.values(house.switchGroups)) {
        for (const one of switches) need(report, one, isIn(devices), () => `switchGroups.${id}.switches`);
        for (const one of controls) need(report, one, isIn(devices), () => `switchGroups.${id}.controls`);
      }
    },
    (house) => [house.switchGroups, held(house)],
  ),
];
