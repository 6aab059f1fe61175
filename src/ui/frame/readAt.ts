import { cache } from 'react';

/** When the page of this request was begun to be read, in milliseconds since 1970; called before anything is read. */
export const readAt = cache(() => Date.now());
