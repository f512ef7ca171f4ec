import { expose } from 'comlink';
import { costReport } from '../core/cost';

/** Every sheet of every house is tried: that takes longer than a frame. */
const worker = { costReport };

export type CostWorker = typeof worker;

expose(worker);
