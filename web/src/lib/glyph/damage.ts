import type { PartTypeKey, PatternKey, Severity } from '@exetasis/core/part';

/** One stroke or area of a damage picture. */
interface DamageShape {
	readonly d: string;
	/** The part itself, how it was as new (dashed), a stroke of damage, or an area of damage. */
	readonly as: 'part' | 'asNew' | 'stroke' | 'area';
	/** Width of a stroke. */
	readonly width?: number;
}

/** Pictures stand in a box of this size. */
export const DAMAGE_BOX = { width: 72, height: 48 } as const;

const [LEFT, RIGHT, TOP, BOTTOM] = [6, 66, 10, 38];
const [MIDDLE_X, MIDDLE_Y] = [36, 24];
const [INNER, OUTER] = [9, 21];

const at = (x: number, y: number) => `${x.toFixed(1)} ${y.toFixed(1)}`;
const line = (points: readonly (readonly [number, number])[]) => `M${points.map(([x, y]) => at(x, y)).join('L')}`;
const circle = (x: number, y: number, r: number) =>
	`M${at(x - r, y)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
const rectangle = (x: number, y: number, width: number, height: number) => `M${at(x, y)}h${width}v${height}h${-width}Z`;

/** A surface on which damage is drawn: its outline, and where the point lies that is u along it and v across it (0 to 1). */
interface Ground {
	readonly outline: string;
	readonly point: (u: number, v: number) => readonly [number, number];
	/** A strip across the whole of it, from u to u, or for a face a ring from v to v. */
	readonly strip: (from: number, to: number) => string;
}

const side: Ground = {
	outline: `${rectangle(LEFT, TOP, RIGHT - LEFT, BOTTOM - TOP)}M${at(LEFT + 4, TOP)}V${BOTTOM}M2 24H70`,
	point: (u, v) => [LEFT + (RIGHT - LEFT) * u, TOP + (BOTTOM - TOP) * v],
	strip: (from, to) => rectangle(LEFT + (RIGHT - LEFT) * from, TOP, (RIGHT - LEFT) * (to - from), BOTTOM - TOP)
};
const face: Ground = {
	outline: circle(MIDDLE_X, MIDDLE_Y, OUTER) + circle(MIDDLE_X, MIDDLE_Y, INNER),
	point: (u, v) => {
		const [angle, r] = [2 * Math.PI * (u - 0.25), INNER + (OUTER - INNER) * v];
		return [MIDDLE_X + r * Math.cos(angle), MIDDLE_Y + r * Math.sin(angle)];
	},
	strip: (from, to) =>
		circle(MIDDLE_X, MIDDLE_Y, INNER + (OUTER - INNER) * from) +
		circle(MIDDLE_X, MIDDLE_Y, INNER + (OUTER - INNER) * to)
};
const plate: Ground = {
	outline: rectangle(LEFT, TOP - 4, RIGHT - LEFT, BOTTOM - TOP + 8) + circle(22, 24, 7) + circle(50, 24, 7),
	point: (u, v) => [LEFT + (RIGHT - LEFT) * u, TOP - 4 + (BOTTOM - TOP + 8) * v],
	strip: (from, to) => rectangle(LEFT + (RIGHT - LEFT) * from, TOP - 4, (RIGHT - LEFT) * (to - from), BOTTOM - TOP + 8)
};

const faces: readonly PartTypeKey[] = [
	...([
		'valve',
		'valveSeat',
		'valvePlate',
		'valveCartridge',
		'regulatorSeat',
		'oRing',
		'backupRing',
		'gasket'
	] as const),
	...(['washer', 'sealingWasher', 'conicalWasher', 'flatSeal', 'vRing', 'lipSeal', 'oilSeal', 'cup', 'shim'] as const),
	...(['ropePacking', 'regulatorPacking', 'diaphragm', 'slinger', 'adapter', 'sealRetainer', 'spacer'] as const),
	...(['cage', 'springRetainer', 'wick'] as const)
];
const plates: readonly PartTypeKey[] = ['manifold', 'cover', 'oilPan', 'sealCase', 'bore', 'crossheadBore'];
const groundOf = (type: PartTypeKey): Ground => (faces.includes(type) ? face : plates.includes(type) ? plate : side);

// Places that look strewn and are the same in every picture: multiples of the golden ratio and of the root of two.
const strewn = (count: number): readonly (readonly [number, number])[] =>
	Array.from({ length: count }, (_, i) => [(0.11 + (i + 1) * 0.618034) % 1, 0.14 + 0.72 * (((i + 1) * 0.414214) % 1)]);

const stroke = (d: string, width = 1.2): DamageShape => ({ d, as: 'stroke', width });
const area = (d: string): DamageShape => ({ d, as: 'area' });
const part = (d: string): DamageShape => ({ d, as: 'part' });
const asNew = (d: string): DamageShape => ({ d, as: 'asNew' });

type OnGround = (ground: Ground, grade: Severity) => readonly DamageShape[];

const scores: OnGround = ({ point }, grade) =>
	strewn([1, 3, 7][grade - 1]!).map(([, v], i) =>
		stroke(
			line([0.08, 0.3, 0.5, 0.7, 0.92].map((u) => point(u, v + 0.012 * ((i + u * 10) % 2)))),
			[0.8, 1.2, 1.7][grade - 1]!
		)
	);
const spots =
	(counts: readonly [number, number, number], radii: readonly [number, number, number]): OnGround =>
	({ point }, grade) =>
		strewn(counts[grade - 1]!).map(([u, v]) => area(circle(...point(u, v), radii[grade - 1]!)));
const rings: OnGround = ({ point }, grade) =>
	strewn([2, 4, 7][grade - 1]!).map(([u, v]) => stroke(circle(...point(u, v), [1.4, 2, 2.8][grade - 1]!), 1));
const band: OnGround = ({ strip }, grade) => {
	const half = [0.06, 0.17, 0.36][grade - 1]!;
	return [area(strip(0.5 - half, 0.5 + half))];
};
const oneSide: OnGround = ({ point }, grade) => {
	const [reach, deep] = [[0.12, 0.2, 0.3][grade - 1]!, [0.25, 0.4, 0.6][grade - 1]!];
	const edge = Array.from({ length: 13 }, (_, i) => i / 12);
	return [
		area(
			line([
				...edge.map((t) => point(0.25 - reach + 2 * reach * t, 1)),
				...edge.toReversed().map((t) => point(0.25 - reach + 2 * reach * t, 1 - deep * Math.sin(Math.PI * t)))
			]) + 'Z'
		)
	];
};
const crack: OnGround = ({ point }, grade) => {
	const reach = [0.3, 0.6, 1][grade - 1]!;
	const jagged = [0, 0.2, 0.4, 0.6, 0.8, 1].map((t, i) => point(0.3 + 0.1 * t + (i % 2) * 0.03, 1 - reach * t));
	const branch = [point(0.36, 1 - 0.4 * reach), point(0.46, 1 - 0.55 * reach), point(0.5, 1 - 0.8 * reach)];
	return [stroke(line(jagged), grade === 3 ? 1.8 : 1.2), ...(grade > 1 ? [stroke(line(branch), 1)] : [])];
};
const network: OnGround = ({ point }, grade) => {
	const cells = [2, 4, 7][grade - 1]!;
	return Array.from({ length: cells }, (_, i) => {
		const u = 0.5 + (i - (cells - 1) / 2) * 0.11;
		return [
			stroke(line([0.1, 0.3, 0.5, 0.7, 0.9].map((v, k) => point(u + (k % 2) * 0.05, v))), 0.8),
			stroke(line([point(u, 0.3), point(u + 0.08, 0.36)]) + line([point(u + 0.05, 0.7), point(u + 0.11, 0.62)]), 0.8)
		];
	}).flat();
};
const bites =
	(counts: readonly [number, number, number], deeps: readonly [number, number, number]): OnGround =>
	({ point }, grade) => {
		const [count, deep] = [counts[grade - 1]!, deeps[grade - 1]!];
		return Array.from({ length: count }, (_, i) => {
			const u = (0.12 + i / count) % 1;
			const wide = 0.03 + deep * 0.08;
			return area(
				line([
					point(u - wide, 1),
					point(u - wide / 3, 1 - deep),
					point(u + wide / 2, 1 - deep * 0.7),
					point(u + wide, 1)
				]) + 'Z'
			);
		});
	};
const channel: OnGround = ({ point }, grade) => {
	const half = [0.012, 0.03, 0.065][grade - 1]!;
	return [
		area(
			line([point(0.3 - half, 0), point(0.3 + half, 0), point(0.32 + half * 1.6, 1), point(0.32 - half * 1.6, 1)]) + 'Z'
		)
	];
};
// Beside the edge of a port.
const portEdge: OnGround = (_, grade) => [area(circle(30, MIDDLE_Y, [1.5, 3, 5][grade - 1]!))];
const strips: OnGround = ({ strip }, grade) =>
	[[0.47, 0.53] as const, [0.38, 0.44] as const, [0.56, 0.62] as const, [0.28, 0.35] as const, [0.65, 0.72] as const]
		.slice(0, 2 * grade - 1)
		.map(([from, to]) => area(strip(from, to)));
const steps: OnGround = ({ strip }, grade) =>
	[[0.5, 0.54] as const, [0.34, 0.4] as const, [0.66, 0.74] as const]
		.slice(0, grade)
		.map(([from, to]) => area(strip(from, to)));
const spiral: OnGround = ({ point }, grade) =>
	Array.from({ length: [2, 5, 10][grade - 1]! }, (_, i, all = [2, 5, 10][grade - 1]!) =>
		stroke(line([point(0.2 + (0.7 * i) / all, 1), point(0.2 + (0.7 * (i + 0.9)) / all, 0)]), 1.2)
	);

/** Damage that is drawn on the surface of the part. */
const onGround: Partial<Record<PatternKey, OnGround>> = {
	axialScoring: scores,
	scoredBore: scores,
	galled: scores,
	wearBand: band,
	faceWorn: band,
	worn: band,
	insideWear: band,
	outsideWear: band,
	grooveWorn: band,
	chafed: band,
	washed: band,
	oneSidedWear: oneSide,
	sideWorn: oneSide,
	flatWorn: oneSide,
	crack,
	split: crack,
	heatChecks: network,
	hardened: network,
	glazed: network,
	pitted: spots([3, 9, 22], [0.9, 1.2, 1.6]),
	pittedEnd: spots([3, 9, 22], [0.9, 1.2, 1.6]),
	corrosion: spots([4, 10, 20], [1.3, 2, 2.8]),
	deposit: spots([3, 7, 14], [1.8, 2.6, 3.6]),
	residue: spots([3, 7, 14], [1.8, 2.6, 3.6]),
	embeddedGrit: spots([3, 8, 18], [0.7, 0.9, 1.1]),
	soiled: spots([4, 10, 20], [1, 1.4, 1.8]),
	blistered: rings,
	chip: bites([1, 1, 2], [0.2, 0.4, 0.6]),
	nick: bites([1, 2, 4], [0.15, 0.25, 0.4]),
	pryMark: bites([1, 2, 4], [0.1, 0.18, 0.3]),
	lipTorn: bites([1, 2, 3], [0.25, 0.5, 0.85]),
	cut: bites([1, 1, 1], [0.3, 0.6, 1]),
	nibbled: bites([4, 8, 14], [0.12, 0.2, 0.32]),
	frayed: bites([5, 9, 15], [0.2, 0.35, 0.5]),
	pinched: bites([1, 2, 3], [0.35, 0.5, 0.7]),
	wireDrawn: channel,
	erodedPort: portEdge,
	blownAcross: channel,
	colourBand: strips,
	hammered: steps,
	rolled: spiral
};

/** A section as new (dashed) and how it is now, by a change of width and height about its middle. */
const resized =
	(changes: readonly (readonly [number, number])[]) =>
	(grade: Severity): readonly DamageShape[] => {
		const [wide, high] = changes[grade - 1]!;
		const box = (x: number, y: number) => rectangle(MIDDLE_X - x / 2, 40 - y, x, y);
		return [asNew(box(24, 26)), part(box(24 * wide, 26 * high))];
	};
const flatSection = (grade: Severity): readonly DamageShape[] => {
	// The ring was a circle; it keeps its area as it stays flat.
	const high = [0.86, 0.68, 0.48][grade - 1]!;
	const [rx, ry] = [15 / high ** 0.5, 15 * high];
	return [
		asNew(circle(MIDDLE_X, MIDDLE_Y, 15)),
		part(
			`M${at(MIDDLE_X - rx, MIDDLE_Y)}a${rx.toFixed(1)} ${ry.toFixed(1)} 0 1 0 ${(2 * rx).toFixed(1)} 0a${rx.toFixed(1)} ${ry.toFixed(1)} 0 1 0 ${(-2 * rx).toFixed(1)} 0Z`
		)
	];
};
const lipSection = (grade: Severity): readonly DamageShape[] => {
	// The running edge stands at the bottom; what is worn off it leaves a flat.
	const flat = [3, 7, 12][grade - 1]!;
	const whole = 'M14 8H58V18H44L34 40 28 18H14Z';
	const cutAt = 40 - flat * 1.2;
	const [left, right] = [34 - ((40 - cutAt) * 6) / 22, 34 + ((40 - cutAt) * 10) / 22];
	return [
		asNew(whole),
		part(`M14 8H58V18H44L${at(right, cutAt)}H${left.toFixed(1)}L28 18H14Z`),
		stroke(`M${at(left, cutAt)}H${right.toFixed(1)}`, 2)
	];
};
const heelSection = (grade: Severity): readonly DamageShape[] => {
	const out = [3, 8, 15][grade - 1]!;
	return [
		part('M14 10H44V36H14Z'),
		area(
			`M44 36V${36 - 3 - grade}C${44 + out * 0.6} ${36 - 2 - grade} ${44 + out} ${35 - grade} ${44 + out} 37L44 37Z`
		),
		part('M46 4V32H64V4M8 38.5H66')
	];
};
const springHeight =
	(share: readonly [number, number, number]) =>
	(grade: Severity): readonly DamageShape[] => {
		const coils = (height: number) =>
			line(Array.from({ length: 9 }, (_, i) => [i % 2 === 0 ? 22 : 50, 42 - (height * i) / 8] as const));
		return [asNew(rectangle(18, 14, 36, 28)), part(coils(28 * share[grade - 1]!))];
	};
const bentBy = (grade: Severity): readonly DamageShape[] => {
	const sag = [4, 9, 16][grade - 1]!;
	return [
		asNew('M6 18H66M6 26H66'),
		part(`M6 18Q36 ${18 + 2 * sag} 66 18M6 26Q36 ${26 + 2 * sag} 66 26M6 18V26M66 18V26`)
	];
};
const warpedBy = (grade: Severity): readonly DamageShape[] => {
	const gap = [2.5, 5.5, 10][grade - 1]!;
	return [
		asNew('M6 12H66V18H6Z'),
		part(`M6 19Q36 ${19 + 2 * gap} 66 19V34Q36 ${34 + 2 * gap} 6 34Z`),
		area(`M6 19Q36 ${19 + 2 * gap} 66 19Z`)
	];
};
const cornerBy = (grade: Severity): readonly DamageShape[] => {
	const r = [4, 10, 19][grade - 1]!;
	return [asNew('M10 40V12H58'), part(`M10 40V${12 + r}Q10 12 ${10 + r} 12H58V40Z`)];
};
const bevelBy = (grade: Severity): readonly DamageShape[] => {
	const r = [4, 10, 18][grade - 1]!;
	return [
		asNew('M10 40V12H58'),
		part(`M10 40V${12 + r}L${10 + r} 12H58V40Z`),
		stroke(
			line([
				[10, 12 + r],
				[10 + r, 12]
			]),
			2
		)
	];
};
const ovalBy = (grade: Severity): readonly DamageShape[] => {
	const more = [1.5, 3.5, 6][grade - 1]!;
	const rx = 15 + more;
	return [
		asNew(circle(MIDDLE_X, MIDDLE_Y, 15)),
		part(`M${MIDDLE_X - rx} 24a${rx} 15 0 1 0 ${2 * rx} 0a${rx} 15 0 1 0 ${-2 * rx} 0Z`)
	];
};
const holeBy = (grade: Severity): readonly DamageShape[] => [
	part(rectangle(8, 8, 56, 32)),
	area(circle(MIDDLE_X, MIDDLE_Y, [1.5, 4, 9][grade - 1]!))
];
const gapBy = (grade: Severity): readonly DamageShape[] => {
	const gap = [1.5, 4, 8][grade - 1]!;
	return [
		part(rectangle(8, 24 + gap / 2, 56, 16)),
		part(rectangle(14, 8 - gap / 2 + 2, 44, 14)),
		area(rectangle(14, 24 - gap / 2, 44, gap))
	];
};

/** Damage that changes the form of the part: a section beside its form as new. */
const byForm: Partial<Record<PatternKey, (grade: Severity) => readonly DamageShape[]>> = {
	flatSet: flatSection,
	lipFlat: lipSection,
	extrudedHeel: heelSection,
	swollen: resized([
		[1.08, 1.05],
		[1.25, 1.15],
		[1.5, 1.3]
	]),
	crushed: resized([
		[1.1, 0.9],
		[1.3, 0.7],
		[1.6, 0.45]
	]),
	lostShape: resized([
		[0.95, 1.05],
		[0.8, 1.15],
		[0.62, 1.25]
	]),
	short: springHeight([0.93, 0.82, 0.66]),
	stretched: springHeight([1.08, 1.18, 1.32]),
	bent: bentBy,
	warped: warpedBy,
	rounded: cornerBy,
	postWorn: cornerBy,
	bevelled: bevelBy,
	ovalBore: ovalBy,
	hole: holeBy,
	parted: gapBy
};

/**
 * Pictures of a pattern in its three grades, as it shows on such a part; undefined where it is there or is not, and no
 * picture would tell one grade from the next.
 */
export function damagePictures(
	type: PartTypeKey,
	pattern: PatternKey
): readonly (readonly DamageShape[])[] | undefined {
	const grades: readonly Severity[] = [1, 2, 3];
	const form = byForm[pattern];
	if (form) return grades.map(form);
	const surface = onGround[pattern];
	const ground = pattern === 'pittedEnd' ? face : groundOf(type);
	return surface && grades.map((grade) => [part(ground.outline), ...surface(ground, grade)]);
}
