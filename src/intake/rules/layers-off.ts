import type { IntakeRule } from '../rule';

/** Layers that are switched off in one reader may print in another. */
export const layersOffRule: IntakeRule = {
  id: 'layers-off',
  title: 'Layers that are switched off',
  wish: () => 'No hidden layers: whether they print depends on who opens the file.',
  look: ({ file }) =>
    file.layers
      .filter((layer) => !layer.isOn)
      .map(({ name }) => ({ weight: 'warning' as const, found: `The layer “${name}” is switched off.` })),
};
