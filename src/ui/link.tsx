import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link that fetches nothing before it is followed. Every page reads the bench anew; fetching all that a page links
 * to after each reading kept the bench busy for seconds.
 */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
