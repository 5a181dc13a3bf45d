import { preloadCode } from '$app/navigation';

// Pages of a job that need nothing from the server but what the job's layout has.
const pages = ['strip', 'inspect', 'build', 'prove'];
// What opens on a touch, and is fetched only then where the network is up.
const opened = [
	() => import('$lib/log/Photos.svelte'),
	() => import('$lib/look/SurfacePanel.svelte'),
	() => import('$lib/judge/WhyInFull.svelte'),
	() => import('$lib/judge/Arithmetic.svelte'),
	() => import('$lib/mat/FindPart.svelte'),
	() => import('$lib/mat/ActsForMany.svelte'),
	() => import('$lib/mat/KeysHelp.svelte'),
	() => import('$lib/measure/BoltMap.svelte'),
	() => import('$lib/measure/SlipQuestion.svelte'),
	() => import('$lib/ui/Segments.svelte'),
	() => import('$lib/bar/PlacesMenu.svelte')
];

/** Fetches all that a job can need once the page is idle, so that a lost network leaves nothing shut. Call the result to stop. */
export function preloadJob(job: string): () => void {
	// What fails is fetched when it is opened, as before.
	const fetchAll = () =>
		void Promise.allSettled([
			...pages.map((page) => preloadCode(`/jobs/${job}/${page}`)),
			...opened.map((one) => one())
		]);
	if (!('requestIdleCallback' in window)) {
		const timer = setTimeout(fetchAll, 2000);
		return () => clearTimeout(timer);
	}
	const idle = requestIdleCallback(fetchAll, { timeout: 10_000 });
	return () => cancelIdleCallback(idle);
}
