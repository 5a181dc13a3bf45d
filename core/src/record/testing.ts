import type { JobState } from './jobState';
import type { Answer } from './kinds/answer';
import type { CylinderDone } from './kinds/cylinderDone';
import type { StepDone } from './kinds/step';
import { fold } from './fold';

const some = { id: '0197f000-0000-7000-8000-000000000000', job: '', by: 'ines', at: '1970-01-01T00:00:00.000Z' };

interface Said {
	/** Keys of steps that are signed off, since 1970. */
	readonly steps?: Iterable<string>;
	/** Questions that are answered, by `askKey`. */
	readonly answers?: Iterable<string>;
	/** Steps that are repeated, with the cylinders at which they are done. */
	readonly cylinders?: Readonly<Record<string, readonly number[]>>;
	/** What the log says besides. */
	readonly besides?: JobState;
}

/** The state of a job whose log says this much. For tests. */
export function stateOf({ steps = [], answers = [], cylinders = {}, besides = fold([]) }: Said): JobState {
	const signed = [...steps].map((step): [string, StepDone] => [step, { ...some, kind: 'step', payload: { step } }]);
	const answered = [...answers].map((key): [string, Answer] => [
		key,
		{ ...some, kind: 'answer', payload: { step: key, ask: 0, value: true } }
	]);
	const done = Object.entries(cylinders).map(([step, at]): [string, Map<number, CylinderDone>] => [
		step,
		new Map(at.map((cylinder) => [cylinder, { ...some, kind: 'cylinderDone', payload: { step, cylinder } }]))
	]);
	return {
		...besides,
		steps: new Map([...signed, ...besides.steps]),
		answers: new Map([...answered, ...besides.answers]),
		cylindersDone: new Map([...done, ...besides.cylindersDone])
	};
}
