/** The places of the application, as the bar and its menu list them. */
export const places = [
	['/', 'Floor'],
	['/pumps', 'Pumps'],
	['/trace', 'Trace'],
	['/gauges', 'Gauges'],
	['/sheets', 'Model sheets'],
	['/shop', 'Shop'],
	['/settings', 'Settings']
] as const;

/** Whether a place is the one where one is; a job on the bench belongs to the Floor. */
export const isHere = (place: string, pathname: string): boolean =>
	place === '/' ? pathname === '/' || pathname.startsWith('/jobs') : pathname.startsWith(place);
