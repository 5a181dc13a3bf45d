// Climbs to where a Weibull distribution's likelihood is highest.
import { curvatureAt, type Curvature, type LogLives } from './weibullLikelihood';
import { LOG_RANGE, MOST_STEPS, type Maximum } from './weibullLimits';

const STARTS = [0, 0.7, -0.7, 1.5];
const MANY = 2000;

/** Where the likelihood of these lives is highest, sought near a place that is known where there is one; undefined where the shape runs away. */
export function likeliest(logs: LogLives, near?: Maximum): Maximum | undefined {
	const best = near ? climbing(logs, near.mu, near.kappa) : maximise(logs);
	const inside = best.kappa < LOG_RANGE[1] - 1e-6 && best.kappa > LOG_RANGE[0] + 1e-6;
	return inside && Number.isFinite(best.at.value) ? best : undefined;
}

/** Where the likelihood of these lives is highest, within the shapes that are looked at. */
export function maximise(logs: LogLives): Maximum {
	const middle = meanLog(logs);
	const climb = (start: number) => climbing(logs, middle, start);
	if (logs.ended > MANY) return climb(0.3);
	// Interval-censored records may have more than one top: the highest of a few climbs.
	return STARTS.map(climb).reduce((best, maximum) => (maximum.at.value > best.at.value ? maximum : best));
}

function meanLog({ exact, held, from, to }: LogLives): number {
	let sum = exact.sum + held.sum + 0.5 * held.count;
	for (let i = 0; i < to.length; i++) sum += from[i] === -Infinity ? to[i] - 0.5 : (from[i] + to[i]) / 2;
	return sum / (exact.count + held.count + to.length);
}

function climbing(logs: LogLives, startMu: number, startKappa: number): Maximum {
	let mu = startMu;
	let kappa = startKappa;
	let at = curvatureAt(logs, mu, kappa);
	for (let step = 0; step < MOST_STEPS; step++) {
		const { m, k } = newtonStep(at, Math.exp(kappa));
		let share = 1;
		let next = at;
		let to = { mu, kappa };
		for (; share > 1e-10; share /= 2) {
			to = { mu: mu + share * m, kappa: Math.min(LOG_RANGE[1], Math.max(LOG_RANGE[0], kappa + share * k)) };
			next = curvatureAt(logs, to.mu, to.kappa);
			if (next.value >= at.value) break;
		}
		if (!(next.value >= at.value)) break;
		const moved = Math.abs(to.mu - mu) * Math.exp(kappa) + Math.abs(to.kappa - kappa);
		({ mu, kappa } = to);
		at = next;
		if (moved < 1e-6) break; // the error that is left is of its square
	}
	return { mu, kappa, at };
}

// Newton's step where the likelihood is concave, else uphill by each direction's own curvature; never far at once.
function newtonStep({ m, k, mm, mk, kk }: Curvature, shape: number): { m: number; k: number } {
	const determinant = mm * kk - mk * mk;
	let step = { m: -(kk * m - mk * k) / determinant, k: -(mm * k - mk * m) / determinant };
	if (!(mm < 0 && determinant > 0)) step = { m: -m / Math.min(mm, -1e-9), k: kk < 0 ? -k / kk : Math.sign(k) * 0.3 };
	const shrink = Math.min(1, 2 / shape / Math.abs(step.m || 1e-9), 1 / Math.abs(step.k || 1e-9));
	return { m: step.m * shrink, k: step.k * shrink };
}
