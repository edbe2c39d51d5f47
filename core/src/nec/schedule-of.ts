import { mustGet } from '../units/result';
import { buildSchedule, type PanelSchedule } from '../panel/schedule';
import type { House } from '../house/schema';
import { protectionOf } from './protection/circuit-protection';

/** The schedule of a panel with the breaker kinds that the code asks for, or that a person chose. */
export const scheduleOf = (house: House, panelId: string): PanelSchedule =>
  buildSchedule(house, mustGet(house.panels, panelId), (circuit) => protectionOf(house, circuit.id).fitted);
