'use client';

import { Printer } from 'lucide-react';
import { Button } from '../kit/button';
import { printButton as say } from './text';

/** Opens the browser's print dialog. */
export const PrintButton = () => (
  <Button kind="action" className="ml-auto" onClick={() => window.print()}>
    <Printer aria-hidden="true" size={20} /> {say.print}
  </Button>
);
