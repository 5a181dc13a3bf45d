import type { Model, ModelStatic } from 'sequelize';

type Associated = Readonly<
	Record<'site' | 'gauge' | 'calibration' | 'pump' | 'earlierPlace' | 'job' | 'traceCase' | 'session' | 'user', unknown>
>;

/** What belongs to what. Keys carry the shop along (the migrations' foreign keys), so that what is associated is of the same shop. */
export function associate(models: Associated): void {
	const of = (name: keyof Associated) => models[name] as ModelStatic<Model>;
	of('gauge').hasMany(of('calibration'), { as: 'calibrations', foreignKey: 'gaugeId' });
	of('pump').belongsTo(of('site'), { as: 'site', foreignKey: 'siteId' });
	of('earlierPlace').belongsTo(of('site'), { as: 'site', foreignKey: 'siteId' });
	of('job').belongsTo(of('pump'), { as: 'pump', foreignKey: 'pumpId' });
	of('session').belongsTo(of('user'), { as: 'user', foreignKey: 'userId' });
	of('traceCase').belongsTo(of('pump'), { as: 'pump', foreignKey: 'pumpId' });
}
