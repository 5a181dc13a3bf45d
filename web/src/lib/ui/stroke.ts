import type { Attachment } from 'svelte/attachments';

const STROKE_PX = 90;

/** Tells of a stroke of the finger across an element: 1 to the left, on to what comes next, −1 to the right. Not over what is painted on or typed in. */
export const stroke =
	(across: (by: 1 | -1) => void): Attachment<HTMLElement> =>
	(element) => {
		let touched: { readonly x: number; readonly y: number } | undefined;
		function start({ touches, target }: TouchEvent) {
			const taken = target instanceof Element && target.closest('svg[role=application], input, select');
			touched = touches.length === 1 && !taken ? { x: touches[0].clientX, y: touches[0].clientY } : undefined;
		}
		function end({ changedTouches: [last] }: TouchEvent) {
			if (!touched) return;
			const [x, y] = [last.clientX - touched.x, last.clientY - touched.y];
			touched = undefined;
			if (Math.abs(x) > STROKE_PX && Math.abs(x) > 2 * Math.abs(y)) across(x < 0 ? 1 : -1);
		}
		element.addEventListener('touchstart', start, { passive: true });
		element.addEventListener('touchend', end);
		return () => {
			element.removeEventListener('touchstart', start);
			element.removeEventListener('touchend', end);
		};
	};
