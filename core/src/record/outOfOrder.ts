import { effectiveTime } from './moment';
import type { StepDone } from './kinds/step';
import { stepsInScope, type ModelSheet, type Opening, type Step } from './sheet';
import { stepsBefore } from './stepOrder';

/** Keys of the steps that were signed off before something that they wait for, by the moments that count. */
export function stepsOutOfOrder(
	{ sheet, ...job }: Opening & { readonly sheet: ModelSheet },
	done: ReadonlyMap<string, StepDone & { readonly effectiveAt?: string }>
): Set<string> {
	const steps = stepsInScope(sheet, job);
	const before = (step: Step, earlier: Step): boolean => {
		const [own, other] = [done.get(step.key)!, done.get(earlier.key)];
		if (!other) return true;
		return (
			effectiveTime(own) - effectiveTime(other) < 0 ||
			(effectiveTime(own) === effectiveTime(other) && (own.seq ?? 0) < (other.seq ?? 0))
		);
	};
	const early = steps.filter(
		(step) => done.has(step.key) && stepsBefore(steps, step).some((earlier) => before(step, earlier))
	);
	return new Set(early.map(({ key }) => key));
}
