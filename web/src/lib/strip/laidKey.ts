/** Where this browser keeps the parts of a job that the server does not have yet. */
export const laidKey = (job: string): string => `exetasis laid down ${job}`;

/**
 * The first request of parts of a job that the server does not have yet. What was recorded after it may speak of these parts and
 * has to wait. Ids are ordered by time.
 */
export function waitsBehind(job: string): string | undefined {
	try {
		const kept = JSON.parse(localStorage.getItem(laidKey(job)) ?? 'null') as {
			readonly waiting?: readonly { readonly request: string }[];
			readonly refused?: string;
		} | null;
		return kept?.refused ?? kept?.waiting?.at(0)?.request;
	} catch {
		return undefined;
	}
}
