// A thread in which the server works what takes long: nobody’s page waits for another’s arithmetic.
import { setPriority } from 'node:os';
import { heavyTasks } from '@exetasis/server/background/heavyTasks';
import type { Asked } from '@exetasis/server/background/threads';
import { files } from './jobFiles';

const LATER = 10;
// On Linux of this thread alone: where processors are few, those who save and look go first.
setPriority(LATER);

const tasks = { ...heavyTasks, ...files } as unknown as Readonly<
	Record<string, (...of: readonly unknown[]) => unknown>
>;

export default ({ task, of }: Asked): unknown => tasks[task](...of);
