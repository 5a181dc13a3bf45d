let allIsHere = false;
/** To be called once all that a job can open has been fetched. */
export const allIsFetched = (): void => void (allIsHere = true);

/**
 * Resolves once modules can be fetched. A browser that failed to fetch a module does not fetch it again before the page is reloaded,
 * so off the network none is asked for that may not be here yet.
 */
export const online = (): Promise<void> =>
	navigator.onLine || allIsHere
		? Promise.resolve()
		: new Promise((resolve) => addEventListener('online', () => resolve(), { once: true }));

/** A component that is fetched when it is first needed, or as soon as the network is back. */
export class Fetched<C> {
	/** Undefined until it is there. */
	component = $state.raw<C>();
	#asked = false;

	constructor(private readonly fetchOnce: () => Promise<{ readonly default: C }>) {}

	need(): void {
		if (this.#asked) return;
		this.#asked = true;
		void online()
			.then(this.fetchOnce)
			.then((module) => (this.component = module.default));
	}
}
