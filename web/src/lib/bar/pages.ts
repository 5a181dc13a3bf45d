/** The pages of the application, as the bar and its menu list them. */
export const pages = [
	['/', 'Floor'],
	['/pumps', 'Pumps'],
	['/trace', 'Trace'],
	['/gauges', 'Gauges'],
	['/sheets', 'Model sheets'],
	['/shop', 'Shop'],
	['/settings', 'Settings']
] as const;

/** Whether this page is open; a job on the bench belongs to the Floor. */
export const isHere = (page: string, pathname: string): boolean =>
	page === '/' ? pathname === '/' || pathname.startsWith('/jobs') : pathname.startsWith(page);
