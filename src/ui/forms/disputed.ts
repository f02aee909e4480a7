'use client';

import { createContext } from 'react';
import type { KeptForm } from './useKeptForm';

/** What somebody else wrote meanwhile, for the controls of a form that say otherwise. */
export const Disputed = createContext<Pick<KeptForm, 'disputed' | 'takeTheirs'>>({
  disputed: {},
  takeTheirs: () => undefined,
});
