/** The last turns of a trace: pressure by angle of the shaft. */
export interface Turns {
	readonly degrees: readonly number[];
	readonly pressureMPa: readonly number[];
	/** Whether the angle counts from the mark on the shaft; if not, from any point of the turn. */
	readonly marked: boolean;
}

/** How many turns are shown. */
export const TURNS = 3;

/** The last three turns. `marks`: the samples at which the mark passed, counted from the first one. Angles: degrees, 0 to 1080. */
export function lastTurns(pressureMPa: readonly number[], marks: readonly number[], samplesPerTurn: number): Turns {
	const passed = marks.filter((at) => at >= 0 && at < pressureMPa.length).slice(-TURNS - 1);
	if (passed.length < 2) {
		const latest = pressureMPa.slice(-Math.round(TURNS * samplesPerTurn));
		return { degrees: latest.map((_, i) => (360 * i) / samplesPerTurn), pressureMPa: latest, marked: false };
	}
	const first = Math.ceil(passed[0]);
	const shown = pressureMPa.slice(first, Math.floor(passed.at(-1)!) + 1);
	let turn = 0;
	const degrees = shown.map((_, i) => {
		while (turn < passed.length - 2 && first + i >= passed[turn + 1]) turn++;
		return 360 * (turn + (first + i - passed[turn]) / (passed[turn + 1] - passed[turn]));
	});
	return { degrees, pressureMPa: shown, marked: true };
}
