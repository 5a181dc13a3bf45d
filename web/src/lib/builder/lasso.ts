export interface Point {
	readonly x: number;
	readonly y: number;
}

/** Whether a point lies inside a closed line: the even-odd rule. */
export function isInside({ x, y }: Point, line: readonly Point[]): boolean {
	let inside = false;
	for (let i = 0, before = line.length - 1; i < line.length; before = i++) {
		const [a, b] = [line[i], line[before]];
		if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
	}
	return inside;
}
