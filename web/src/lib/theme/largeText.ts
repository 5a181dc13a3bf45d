const HALF_AS_LARGE_AGAIN = 24;

/** Says on the document whether the reader's text is at least half as large again as usual, now and whenever it changes; ends with the result. */
export function watchTextSize(): () => void {
	// One rem wide: browsers tell of no change of the text's size otherwise.
	const probe = document.createElement('div');
	probe.setAttribute('aria-hidden', 'true');
	Object.assign(probe.style, { position: 'absolute', width: '1rem', height: '0', visibility: 'hidden' });
	document.body.append(probe);
	const observer = new ResizeObserver(() => {
		document.documentElement.toggleAttribute('data-large-text', probe.offsetWidth >= HALF_AS_LARGE_AGAIN);
	});
	observer.observe(probe);
	return () => {
		observer.disconnect();
		probe.remove();
	};
}
