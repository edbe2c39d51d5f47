import { outletsOn } from './outlets';
import type { Building, Circuit, Feeder, House, Panel, Room } from '../house/schema';

/** The feeder that comes to a panel; undefined where the service does, or nothing is said. */
export const feederTo = ({ feeders }: Pick<House, 'feeders'>, panelId: string): Feeder | undefined =>
  Object.values(feeders).find((one) => one.to === panelId);

/** The feeders that start at a panel. */
export const feedersFrom = ({ feeders }: Pick<House, 'feeders'>, panelId: string): Feeder[] =>
  Object.values(feeders).filter((one) => one.from === panelId);

/** The panel that the service comes into: of those that no feeder comes to, the one with the largest main. */
export const servicePanel = (house: Pick<House, 'panels' | 'feeders'>): Panel | undefined =>
  Object.values(house.panels)
    .filter((one) => !feederTo(house, one.id))
    .reduce<Panel | undefined>((best, one) => (!best || one.mainA > best.mainA ? one : best), undefined);

/** The panels whose mains disconnect the service: the first one, and those that say so and that no feeder comes to. */
export function servicePanels(house: Pick<House, 'panels' | 'feeders'>): Panel[] {
  const first = servicePanel(house);
  return Object.values(house.panels).filter((one) => one === first || (one.onService && !feederTo(house, one.id)));
}

/** A panel and all that are fed by way of it. The feeders of a house are a tree: its integrity says so. */
export function panelsBehind(house: Pick<House, 'feeders'>, panelId: string): ReadonlySet<string> {
  const behind = new Set([panelId]);
  for (const id of behind) for (const { to } of feedersFrom(house, id)) behind.add(to);
  return behind;
}

/** What is fed apart from the rest: a structure, and in it a dwelling unit. */
type SupplyPart = string;
/** The building and the dwelling unit of a room, as far as they decide who feeds it. */
export const partOf = (room: Pick<Room, 'building' | 'unit'> | undefined): SupplyPart =>
  `${room?.building ?? ''}|${room?.unit ?? ''}`;

/** The panel from which a part is fed: its own, else that of its structure, else that of the service. */
export function panelOfPart(house: House, part: SupplyPart): Panel | undefined {
  const [building] = part.split('|');
  const panels = Object.values(house.panels);
  const roomOf = (panel: Panel) => house.rooms[panel.room];
  return (
    panels.find((one) => partOf(roomOf(one)) === part) ??
    panels.find((one) => (roomOf(one)?.building ?? '') === building) ??
    servicePanel(house)
  );
}

/** The part of the house that most outlets of a circuit are in. */
function partOfCircuit(house: House, circuit: Circuit): SupplyPart {
  const counts = new Map<SupplyPart, number>();
  for (const { room } of outletsOn(house, circuit)) counts.set(partOf(room), (counts.get(partOf(room)) ?? 0) + 1);
  return [...counts].reduce((best, one) => (one[1] > best[1] ? one : best), ['|', 0] as const)[0];
}

/** The panel that a circuit without a space waits for: its own, or that of the part of the house it feeds. */
export const wantedPanel = (house: House, circuit: Circuit): Panel | undefined =>
  circuit.panel === null ? panelOfPart(house, partOfCircuit(house, circuit)) : house.panels[circuit.panel];

/** The panel of a circuit; the one of the service where nothing is said. */
export const panelOf = (house: House, circuit: Pick<Circuit, 'panel'>): Panel | undefined =>
  circuit.panel === null ? servicePanel(house) : house.panels[circuit.panel];

/** The spaces that the breaker of a feeder takes in the panel it starts from. */
export const feederSpaces = ({ poles, space }: Pick<Feeder, 'poles' | 'space'>): number[] =>
  space === null ? [] : poles === 2 ? [space, space + 2] : [space];

/** The building that a panel stands in; undefined in the house itself. */
export const buildingOfPanel = (house: House, { room }: Pick<Panel, 'room'>): Building | undefined =>
  house.buildings[house.rooms[room]?.building ?? ''];
