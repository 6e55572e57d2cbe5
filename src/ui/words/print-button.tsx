'use client';

import { Printer } from 'lucide-react';
import { Button } from '../kit/button';

/** Opens the browser's print dialog. */
export const PrintButton = ({ kind = 'action' }: { readonly kind?: 'action' | 'plain' }) => (
  <Button kind={kind} className="ml-auto" onClick={() => window.print()}>
    <Printer aria-hidden="true" size={20} /> Print
  </Button>
);
