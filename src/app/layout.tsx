import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { LOOK_SCRIPT } from '@/ui/kit/look';
import { fontVariables } from './fonts';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Bouncy Echo', template: '%s · Bouncy Echo' },
  description: 'Short spoken sound games for early-years groups, with every answer kept.',
};
export const viewport: Viewport = { themeColor: '#f7f1e3', width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    // The look is set before anything is drawn, so the server cannot know it.
    <html lang="en-GB" className={fontVariables} suppressHydrationWarning>
      <head>
        {/* A browser hides the nonce from scripts, so it differs from what the server wrote. */}
        <script nonce={nonce} dangerouslySetInnerHTML={{ __html: LOOK_SCRIPT }} suppressHydrationWarning />
      </head>
      <body>{children}</body>
    </html>
  );
}
