import { jobSummary, validateHouse, type JobSummary } from '@winculum/core';
import { answerIn } from '../../work/long-work';

/** Reads a house for its card, away from the page: the check of a large house takes longer than a frame. */
answerIn<unknown, JobSummary | undefined>(self, (house) => {
  const read = validateHouse(house);
  return read.ok ? jobSummary(read.value) : undefined;
});
