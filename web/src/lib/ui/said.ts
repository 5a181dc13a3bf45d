import { createToaster } from '@skeletonlabs/skeleton-svelte';

/** What was said in passing and needs no answer; the page's frame shows it for a moment. */
export const said = createToaster({ placement: 'bottom-end', duration: 4000 });

export const say = (title: string): void => void said.success({ title });
