// The simulated devices of the demo, a process of their own: npm run devices -- --fault inlet:2:0.15 --noise 0.02
import { parseArgs } from 'node:util';
import type { Fault } from './pump';
import { rig, type RigManners } from './rig';
import { wrench } from './wrench';

const { values } = parseArgs({
	options: {
		rig: { type: 'string', default: '4710' },
		wrench: { type: 'string', default: '4711' },
		/** inlet:CYLINDER:LEAK, discharge:CYLINDER:LEAK or air:DEGREES; leaks as shares of the mean flow. */
		fault: { type: 'string', default: '' },
		noise: { type: 'string', default: '0.02' },
		drift: { type: 'string', default: '0.02' },
		drop: { type: 'string', default: '0' },
		says: { type: 'string', default: 'bar' },
		sends: { type: 'string', default: 'bar' },
		rpm: { type: 'string', default: '900' },
		hz: { type: 'string', default: '2000' },
		phases: { type: 'string', default: '0,120,240' },
		unmarked: { type: 'boolean', default: false },
		trouble: { type: 'string', default: '' },
		pull: { type: 'string', default: '1200' }
	}
});

function faultOf(text: string): Fault {
	const [what, a, b] = text.split(':');
	if (what === 'inlet' || what === 'discharge') return { [what]: [Number(a), Number(b)] };
	return what === 'air' ? { airDeg: Number(a) } : {};
}

const pump = { strokeMm: 24, rodMm: 84, phasesDeg: values.phases.split(',').map(Number), meanMPa: 9 };
const run = {
	sampleHz: Number(values.hz),
	rpm: Number(values.rpm),
	noise: Number(values.noise),
	driftAMinute: Number(values.drift),
	startDeg: 40,
	seed: 7
};
const manners: RigManners = {
	drop: Number(values.drop),
	says: values.says as RigManners['says'],
	sends: values.sends as RigManners['sends'],
	marked: !values.unmarked,
	...(values.trouble ? { trouble: values.trouble as RigManners['trouble'] } : {})
};
// Pulls as a hand makes them: mostly right, at times short or past it.
const off = [0.01, -0.02, 0.005, -0.09, 0.02, 0, 0.015, -0.01, 0.08];

rig(pump, faultOf(values.fault), run, manners).listen(Number(values.rig), '127.0.0.1');
wrench({ unit: 'Nm', off, pullMs: Number(values.pull) }).listen(Number(values.wrench), '127.0.0.1');
console.log(`Simulated rig on port ${values.rig}, torque wrench on port ${values.wrench}.`);
