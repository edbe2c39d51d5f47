import { lineUpBoxes, type House, type LineUp, type RouteWay } from '@winculum/core';
import { answerIn } from '../../work/long-work';

export interface LineUpQuestion {
  readonly house: House;
  readonly way: RouteWay;
}

answerIn<LineUpQuestion, readonly LineUp[]>(self, ({ house, way }, onProgress) => lineUpBoxes(house, way, onProgress));
