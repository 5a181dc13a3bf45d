/** Who may do what: the one place that says so. */
export const roles = ['technician', 'lead', 'viewer'] as const;
export type Role = (typeof roles)[number];

export type Action =
	| 'look' // see everything of one's own shop
	| 'work' // receive pumps, write the bench log, release jobs
	| 'manage' // sheets, policy: what others' verdicts rest on
	| 'self'; // own settings

const allowed: Readonly<Record<Role, readonly Action[]>> = {
	viewer: ['look', 'self'],
	technician: ['look', 'work', 'self'],
	lead: ['look', 'work', 'manage', 'self']
};

export const may = (role: Role, action: Action): boolean => allowed[role].includes(action);
