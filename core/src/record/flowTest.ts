import { temperatureRiseK, volumetricEfficiency, type FlowDrive } from '../prove';
import type { Proofs } from './proved';
import type { ModelSheet } from './sheet';

/** What displaces: the first station of its kind, with the size that is its bore. */
const displacers = [
	['plunger', 'diameter'],
	['piston', 'diameter'],
	['sleeve', 'diameter'],
	['cylinder', 'bore']
] as const;

/** The pump as its flow is worked out, from its sheet: undefined where that says nothing of its crank or plungers. */
export function flowDriveOf(sheet: Pick<ModelSheet, 'stations' | 'crank' | 'strokeMm'>): FlowDrive | undefined {
	const size = displacers
		.flatMap(([type, key]) =>
			sheet.stations
				.filter((station) => station.type === type)
				.flatMap((station) => station.characteristics.filter((characteristic) => characteristic.key === key))
		)
		.at(0);
	if (!sheet.crank || !size) return undefined;
	const { phasesDeg, rodMm } = sheet.crank;
	return { strokeMm: sheet.strokeMm, rodMm, phasesDeg, boreMm: size.nominal };
}

/** What a shop measures flow with: a jug and a timer, a hand tachometer, plungers as new. Standard uncertainties, as shares and mm. */
export const FLOW_TEST_U = { flow: 0.02, speed: 0.005, boreMm: 0.01 } as const;
/** Below this a flow says nothing of how warm the liquid has to get. */
const LEAST_EFFICIENCY = 0.01;

interface FlowFinding {
	/** Measured flow over what the pump displaces, and its standard uncertainty. */
	readonly efficiency: { readonly value: number; readonly u: number };
	/** True where it is more than it can displace, beyond what the measuring leaves open. */
	readonly tooMuch: boolean;
	/** How much warmer the liquid has to leave, were all that is lost to stay in it, K; left out where hardly anything flows. */
	readonly riseDueK?: number;
}

/**
 * What a flow test says against the sheet; undefined where none was made, or the sheet says nothing of crank or plungers.
 *
 * Units: L/min, revolutions a minute, MPa, K. Errors: PreconditionError of `volumetricEfficiency` for what cannot be. Source: as
 * `volumetricEfficiency` and `temperatureRiseK`.
 */
export function flowOn(
	sheet: Pick<ModelSheet, 'stations' | 'crank' | 'strokeMm'>,
	{ flow: test }: Pick<Proofs, 'flow'>
): FlowFinding | undefined {
	const drive = flowDriveOf(sheet);
	if (!test || !drive || !(test.flow.value > 0)) return undefined;
	const flow = test.flow.value;
	const efficiency = volumetricEfficiency(drive, {
		flowLmin: { value: flow, u: FLOW_TEST_U.flow * flow },
		speedRpm: { value: test.speedRpm, u: FLOW_TEST_U.speed * test.speedRpm },
		boreMm: { value: drive.boreMm, u: FLOW_TEST_U.boreMm }
	});
	const warms = efficiency.value > LEAST_EFFICIENCY && test.pressure.value >= 0;
	return {
		efficiency,
		tooMuch: efficiency.value - 2 * efficiency.u > 1,
		...(warms ? { riseDueK: temperatureRiseK(test.pressure.value, Math.min(1, efficiency.value)) } : {})
	};
}

/** How much warmer the liquid left than it came, K; undefined where no one took it. */
export const riseOn = ({ temperature }: Pick<Proofs, 'temperature'>): number | undefined =>
	temperature && temperature.outlet.value - temperature.inlet.value;
