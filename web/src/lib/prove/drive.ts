import type { FlowDrive } from '@exetasis/core/prove';
import type { ModelSheet } from '@exetasis/core/record';

/** What displaces: the first station of its kind, with the size that is its bore. */
const displacers = [
	['plunger', 'diameter'],
	['piston', 'diameter'],
	['sleeve', 'diameter'],
	['cylinder', 'bore']
] as const;

/** The pump as its flow is worked out, from its sheet: undefined where that says nothing of its crank or plungers. */
export function flowDriveOf(sheet: ModelSheet): FlowDrive | undefined {
	const size = displacers
		.flatMap(([type, key]) =>
			sheet.stations
				.filter((station) => station.type === type)
				.flatMap((station) => station.characteristics.filter((one) => one.key === key))
		)
		.at(0);
	if (!sheet.crank || !size) return undefined;
	const { phasesDeg, rodMm } = sheet.crank;
	return { strokeMm: sheet.strokeMm, rodMm, phasesDeg, boreMm: size.nominal };
}
