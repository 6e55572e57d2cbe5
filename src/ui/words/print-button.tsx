'use client';

import { Printer } from 'lucide-react';
import { Button } from '../kit/button';
import { printButton as say } from './text';

/** Opens the browser's print dialog. */
export const PrintButton = ({ kind = 'action' }: { readonly kind?: 'action' | 'plain' }) => (
  <Button kind={kind} className="ml-auto" onClick={() => window.print()}>
    <Printer aria-hidden="true" size={20} /> {say.print}
  </Button>
);
