import { MediaQuery } from 'svelte/reactivity';
import { page } from '$app/state';

const coarse = new MediaQuery('pointer: coarse', false);

/** Whether the pad is offered by itself: as the person has chosen, else where one touches. */
export function padWanted(): boolean {
	const { pad } = page.data as { pad?: 'touch' | 'always' | 'never' };
	if (pad === 'always') return true;
	return pad !== 'never' && coarse.current;
}
