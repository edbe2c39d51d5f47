import { aHouse } from './house-builder';

export const house = () => aHouse().room('garage', 'garage', [0, 0, 240, 240], { bays: 1 }).panel('P', 'garage', 8);

export const at = (space: number, poles: 1 | 2 = 1) => ({ panel: 'P', space, poles });
