import type { RequestEvent } from '@sveltejs/kit';
import { isHere, SetupCode } from '@exetasis/server/setup/setupCode';

/** The one-time code of this start. */
export const setupCode = new SetupCode(process.env.SETUP_CODE);

/** Whether the request comes from the machine on which the server runs. */
export const fromHere = ({ getClientAddress, url, request }: RequestEvent): boolean =>
	isHere({
		address: getClientAddress(),
		host: url.host,
		passedOn: request.headers.has('x-forwarded-for') || request.headers.has('forwarded')
	});
