import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { LOOK_SCRIPT } from '@/ui/kit/look';
import { fontVariables } from './fonts';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Bouncy Echo', template: '%s · Bouncy Echo' },
  description: 'Short spoken sound games for early-years groups, with every answer kept.',
};
export const viewport: Viewport = { themeColor: '#f7f1e3', width: 'device-width', initialScale: 1 };

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    // The look is set before anything is drawn, so the server cannot know it.
    <html lang="en-GB" className={fontVariables} suppressHydrationWarning>
      <head><script dangerouslySetInnerHTML={{ __html: LOOK_SCRIPT }} /></head>
      <body>{children}</body>
    </html>
  );
}
