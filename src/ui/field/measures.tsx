'use client';
import { createContext, useContext } from 'react';
import type { NamedMeasure } from '@/core/job';

const Measures = createContext<readonly NamedMeasure[]>([]);

/** The job’s named measures, which every length field reads by name. */
export const MeasuresProvider = Measures.Provider;
export const useMeasures = (): readonly NamedMeasure[] => useContext(Measures);
