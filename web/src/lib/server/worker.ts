// A thread for the server's long tasks, so that they do not delay other requests.
import { setPriority } from 'node:os';
import { heavyTasks } from '@exetasis/server/background/heavyTasks';
import type { Asked } from '@exetasis/server/background/threads';
import { files } from './jobFiles';

const LATER = 10;
// On Linux this affects only this thread: requests take precedence if processors are few.
setPriority(LATER);

const tasks = { ...heavyTasks, ...files } as unknown as Readonly<
	Record<string, (...of: readonly unknown[]) => unknown>
>;

export default ({ task, of }: Asked): unknown => tasks[task](...of);
