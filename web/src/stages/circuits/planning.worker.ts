import { planCircuits, type CircuitPlan, type House, type Result } from '@winculum/core';
import { newId } from '../../new-id';
import { answerIn } from '../../work/long-work';

answerIn<House, Result<CircuitPlan>>(self, (house, onProgress) => planCircuits(house, newId, onProgress));
