import { defineMode } from '../mode';

export const brief = defineMode({ title: 'Brief' });
