// biome-ignore lint/style/noRestrictedImports: the one place that may
import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link to a page of ours, which is fetched once somebody follows it. Every page is new each time it is asked for, so what
 * the menu alone would fetch ahead (some twenty pages on every page shown) is thrown away, and keeps the server busy.
 */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
