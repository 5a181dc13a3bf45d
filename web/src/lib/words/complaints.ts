import type { Complaint } from '@exetasis/core/record';

export const complaintName: Readonly<Record<Complaint, string>> = {
	leakFront: 'Leaks at the front, by the plungers',
	leakJoint: 'Leaks at a joint',
	leakOil: 'Leaks oil',
	pressureLow: 'Pressure low',
	pulsing: 'Pressure pulses',
	noise: 'Noise',
	oilMilky: 'Oil milky',
	oilMetal: 'Metal in the oil',
	hot: 'Runs hot',
	planned: 'Planned, hours reached'
};
