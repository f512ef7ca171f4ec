import { mapElements, type Job, type Layer } from '../job';
import { freshId } from './new-element';
import { changePiece } from './on-side';
import { putRecord } from './records';

/** A new layer above all others. */
export const addLayer = (job: Job): Job =>
  changePiece(job, (piece) => ({
    ...piece,
    layers: [
      ...piece.layers,
      { id: freshId(), name: `Layer ${piece.layers.length + 1}`, locked: false, hidden: false },
    ],
  }));

/** Puts a layer in the place of the one of its id, or above all others. */
export const putLayer = (job: Job, layer: Layer): Job =>
  changePiece(job, (piece) => ({ ...piece, layers: putRecord(piece.layers, layer) }));

/** A layer one place further up (or, negative, down). */
export const moveLayer = (job: Job, id: string, by: 1 | -1): Job =>
  changePiece(job, (piece) => {
    const layers = [...piece.layers];
    const at = layers.findIndex((l) => l.id === id);
    const [here, there] = [layers[at], layers[at + by]];
    if (here && there) [layers[at], layers[at + by]] = [there, here];
    return { ...piece, layers };
  });

/** Without a layer; what lay on it goes to the one below, or to the lowest that is left. The last layer stays. */
export const removeLayer = (job: Job, id: string): Job =>
  changePiece(job, (piece) => {
    const at = piece.layers.findIndex((l) => l.id === id);
    const layers = piece.layers.filter((l) => l.id !== id);
    const to = layers[Math.max(0, at - 1)];
    if (!to) return piece;
    return { ...mapElements(piece, (e) => (e.layer === id ? { ...e, layer: to.id } : e)), layers };
  });
