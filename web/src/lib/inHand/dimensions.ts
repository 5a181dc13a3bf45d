import type { PartTypeKey } from '@exetasis/core/part';

/** Where a size is taken on a section drawing of 48 × 48: x and y from, x and y to; one point where it has no extent. */
export type Dimension = readonly [fromX: number, fromY: number, toX: number, toY: number];

/**
 * Where each size of a part type is taken on its drawing in `glyph/shapes`. Adding a size means adding its place here; sizes
 * that are read along the part or on a face have drawings of their own.
 */
export const dimensions: Readonly<Partial<Record<PartTypeKey, Readonly<Record<string, Dimension>>>>> = {
	adapter: { bore: [26, 18, 26, 30], length: [13, 44, 33, 44], faceFlatness: [33, 6, 33, 18] },
	backupRing: { thickness: [21, 42, 27, 42], heel: [24, 6, 24, 17] },
	bore: {
		bore: [16, 13, 16, 35],
		roughness: [24, 13, 24, 13],
		grooveWidth: [33, 10, 45, 10],
		grooveDepth: [33, 10, 33, 13],
		pitDepth: [10, 13, 10, 13]
	},
	cage: { postThickness: [10, 24, 18, 24], guideBore: [26, 13, 26, 35] },
	conicalWasher: { height: [16, 43, 30, 43], thickness: [18, 11, 25, 11] },
	crossheadBore: { bore: [23, 12, 23, 36] },
	cup: { lipDiameter: [10, 5, 10, 43], heel: [28, 14, 28, 20], hardness: [31, 17, 31, 17] },
	cylinder: {
		bore: [22, 14, 22, 34],
		grooveWidth: [12, 8, 18, 8],
		grooveDepth: [15, 5, 15, 8],
		roughness: [30, 14, 30, 14],
		scoreDepth: [34, 34, 34, 34],
		endGap: [40, 11, 40, 11],
		movement: [5, 11, 5, 11]
	},
	diaphragm: { thickness: [22, 40, 27, 40], sag: [14, 24, 24, 24] },
	fastener: { length: [9, 24, 39, 24] },
	flatSeal: { thickness: [20, 40, 28, 40], hardness: [24, 12, 24, 12] },
	gasket: { thickness: [22, 43, 26, 43] },
	guide: { bore: [18, 18, 18, 30] },
	lipSeal: {
		hardness: [30, 11, 30, 11],
		insideDiameter: [14, 17, 14, 31],
		outsideDiameter: [34, 5, 34, 43],
		wearLand: [14, 31, 18, 35],
		heel: [26, 13, 34, 13]
	},
	manifold: {
		flatness: [41, 8, 41, 40],
		portWear: [41, 24, 41, 24],
		packingBore: [30, 21, 30, 27],
		pitDepth: [20, 10, 20, 10]
	},
	oRing: {
		section: [18, 12, 30, 12],
		insideDiameter: [24, 18, 24, 30],
		hardness: [24, 36, 24, 36],
		mass: [28, 40, 28, 40]
	},
	oilSeal: { depth: [12, 40, 34, 40], hardness: [32, 10, 32, 10] },
	piston: { diameter: [20, 6, 20, 42], faceFlatness: [13, 8, 13, 20] },
	plunger: {
		diameter: [20, 15, 20, 33],
		roughness: [14, 15, 14, 15],
		scoreDepth: [26, 15, 26, 15],
		runout: [24, 33, 24, 33]
	},
	regulatorPacking: { height: [16, 40, 34, 40] },
	regulatorSeat: { edgeRadius: [28, 16, 28, 16] },
	regulatorStem: { edgeRadius: [12, 15, 12, 15] },
	rod: { trackDiameter: [22, 20, 22, 28], grooveDepth: [11, 20, 11, 22], play: [43, 24, 43, 24] },
	ropePacking: { section: [20, 12, 28, 12] },
	sealCase: { bore: [23, 18, 23, 30] },
	sealingWasher: { thickness: [21, 40, 27, 40] },
	shim: { thickness: [20, 42, 30, 42] },
	sleeve: {
		diameter: [20, 11, 20, 37],
		roughness: [12, 11, 12, 11],
		scoreDepth: [30, 11, 30, 11],
		bore: [26, 18, 26, 30],
		rodDiameter: [40, 16, 40, 32],
		runout: [34, 37, 34, 37]
	},
	spacer: { length: [9, 43, 40, 43], bore: [18, 18, 18, 30], faceFlatness: [9, 8, 9, 18] },
	spring: {
		freeLength: [5, 43, 41, 43],
		load: [38, 20, 38, 20],
		loadShort: [38, 28, 38, 28],
		wire: [29, 10, 35, 10],
		outsideDiameter: [14, 7, 14, 41],
		coils: [23, 24, 23, 24],
		outOfSquare: [8, 7, 8, 41]
	},
	springRetainer: { thickness: [10, 41, 16, 41] },
	vRing: {
		insideDiameter: [20, 18, 20, 30],
		outsideDiameter: [20, 6, 20, 42],
		section: [16, 6, 16, 18],
		stackHeight: [16, 45, 36, 45],
		wearLand: [28, 30, 28, 30],
		heel: [28, 12, 36, 12],
		hardness: [32, 36, 32, 36]
	},
	valve: {
		thickness: [18, 44, 31, 44],
		step: [18, 30, 18, 30],
		faceFlatness: [18, 8, 18, 22],
		lift: [40, 24, 40, 24],
		grooveDepth: [18, 38, 18, 38]
	},
	valveCartridge: { lift: [17, 24, 21, 24], load: [27, 24, 27, 24] },
	valvePlate: { flatness: [18, 18, 18, 30], portWear: [18, 13, 18, 13] },
	valveSeat: {
		bandWidth: [28, 19, 34, 14],
		bandBroken: [31, 32, 31, 32],
		pitDepth: [33, 15, 33, 15],
		pitShare: [29, 30, 29, 30],
		grooveWidth: [18, 5, 23, 5],
		grooveDepth: [20, 39, 20, 43],
		height: [12, 45, 34, 45],
		seatAngle: [31, 17, 31, 17],
		pressureFall: [34, 24, 34, 24],
		edgeRadius: [34, 14, 34, 14]
	},
	washer: { thickness: [19, 43, 29, 43] }
};

/** The dimension on the drawing as it is shown: mirrored, then turned by a quarter where its P or C side lies up. */
export function asDrawn([x1, y1, x2, y2]: Dimension, mirrored: boolean, up: string | undefined): Dimension {
	const turn = (x: number, y: number): [number, number] => {
		const across = mirrored ? 48 - x : x;
		if (up === 'P') return [48 - y, across];
		if (up === 'C') return [y, 48 - across];
		return [across, y];
	};
	return [...turn(x1, y1), ...turn(x2, y2)];
}

/** Heights for labels beside a drawing: as near to what they name as they can be, none closer to the next than `gap`. */
export function spread(wanted: readonly number[], gap: number, least: number, most: number): number[] {
	const order = wanted.map((at, index) => ({ at, index })).sort((a, b) => a.at - b.at);
	let below = least;
	const placed = order.map(({ at }) => {
		const here = Math.max(at, below);
		below = here + gap;
		return here;
	});
	let above = most;
	for (let i = placed.length - 1; i >= 0; i--) {
		placed[i] = Math.min(placed[i], above);
		above = placed[i] - gap;
	}
	const answer = new Array<number>(wanted.length);
	order.forEach(({ index }, i) => (answer[index] = placed[i]));
	return answer;
}
