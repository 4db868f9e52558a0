import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link that fetches nothing before it is followed. Every page reads the database; prefetching all links of a page
 * after each reading kept the server busy for seconds.
 */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
