/**
 * The page's own colours as a canvas understands them. They are light-dark() values, which the browser resolves only
 * where they are used as a colour, so each is tried on the canvas itself.
 */
export function coloursOn(canvas: HTMLCanvasElement, ...names: readonly string[]): string[] {
	return names.map((name) => {
		canvas.style.color = `var(${name})`;
		return getComputedStyle(canvas).color;
	});
}
