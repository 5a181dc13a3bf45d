import { env } from '$env/dynamic/private';
import { listenToRig } from '@exetasis/server/devices/rig';
import { eventStream } from '$lib/server/eventStream';

/** A trace is recorded for no longer. */
const MOST_MS = 120_000;

/** What the shop's test rig delivers, as it comes. */
export const GET = () => eventStream((signal) => listenToRig(env.RIG_AT, signal), MOST_MS);
