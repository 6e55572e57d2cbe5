import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link within the application. Nothing is fetched before it is followed: the server stands on this computer, and it
 * would be asked for every page that a page leads to, twenty or more at a time.
 */
export const Link = (props: ComponentProps<typeof NextLink>) => <NextLink prefetch={false} {...props} />;
