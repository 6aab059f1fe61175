import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/** A link within the application. Its page is worked out when it is asked for, not while it is only in sight: every page is of the moment. */
export default function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
