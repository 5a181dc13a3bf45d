import { json } from '@sveltejs/kit';
import { answers } from '@exetasis/server/db/connection';

/** Ready when the database answers. */
export const GET = () =>
	answers().then(
		() => json({ ready: true }),
		() => json({ ready: false }, { status: 503 })
	);
