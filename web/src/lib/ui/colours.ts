import { createSubscriber } from 'svelte/reactivity';

// What is drawn on a canvas does not follow the page's theme by itself: who asks for colours in an effect is asked again when it changes.
const followTheme = createSubscriber((update) => {
	const observer = new MutationObserver(update);
	observer.observe(document.documentElement, { attributeFilter: ['data-mode'] });
	return () => observer.disconnect();
});

/**
 * The page's own colours as a canvas understands them. They are light-dark() values, which the browser resolves only
 * where they are used as a colour, so each is tried on the canvas itself.
 */
export function coloursOn(canvas: HTMLCanvasElement, ...names: readonly string[]): string[] {
	followTheme();
	return names.map((name) => {
		canvas.style.color = `var(${name})`;
		return getComputedStyle(canvas).color;
	});
}
