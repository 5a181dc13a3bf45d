import { preloadCode } from '$app/navigation';
import { allIsFetched, online } from '$lib/ui/fetched.svelte';
import { glossary } from '$lib/words/glossary';

// Pages of a job that need nothing from the server but what the job's layout has.
const pages = ['strip', 'inspect', 'build', 'prove'];
// What opens on a touch, and is fetched only then where the network is up.
const opened = [
	() => import('$lib/log/Photos.svelte'),
	() => import('$lib/look/SurfacePanel.svelte'),
	() => import('$lib/judge/WhyInFull.svelte'),
	() => import('$lib/judge/Arithmetic.svelte'),
	() => import('$lib/judge/OtherCylinders.svelte'),
	() => import('$lib/mat/FindPart.svelte'),
	() => import('$lib/mat/ActsForMany.svelte'),
	() => import('$lib/mat/KeysHelp.svelte'),
	() => import('$lib/inHand/ReadingsOnPart.svelte'),
	() => import('$lib/inHand/SurfaceOnPart.svelte'),
	() => import('$lib/measure/BoltMap.svelte'),
	() => import('$lib/measure/NewSize.svelte'),
	() => import('$lib/measure/SlipQuestion.svelte'),
	() => import('$lib/ui/Segments.svelte'),
	() => import('$lib/bar/PagesMenu.svelte'),
	glossary
];

/** Fetches all that a job can need while the page is idle, so that a lost network leaves nothing shut. Call the result to stop. */
export function preloadJob(job: string): () => void {
	let stopped = false;
	let missing = false;
	void (async () => {
		// One after the other: all at once would block the page just when it is first used.
		for (const fetchOne of [...pages.map((page) => () => preloadCode(`/jobs/${job}/${page}`)), ...opened]) {
			await idle();
			await online();
			if (stopped) return;
			// What the server did not give opens once the page is reloaded.
			await fetchOne().catch(() => (missing = true));
		}
		if (!missing) allIsFetched();
	})();
	return () => (stopped = true);
}

const LONGEST_WAIT_MS = 1000;
const idle = (): Promise<unknown> =>
	new Promise((resolve) =>
		'requestIdleCallback' in window
			? requestIdleCallback(resolve, { timeout: LONGEST_WAIT_MS })
			: setTimeout(resolve, LONGEST_WAIT_MS / 4)
	);
