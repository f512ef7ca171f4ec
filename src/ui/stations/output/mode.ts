import { defineMode } from '../mode';

export const output = defineMode({ title: 'Output', shows: ['press-sheet', 'finish'] });
