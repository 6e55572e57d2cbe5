'use client';

import { Printer } from 'lucide-react';
import { printButton as say } from './text';

/** Opens the browser's print dialog. */
export const PrintButton = () => (
  <button type="button" className="action ml-auto" onClick={() => window.print()}>
    <Printer aria-hidden="true" size={20} /> {say.print}
  </button>
);
