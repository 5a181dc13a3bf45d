import type { Model, ModelStatic } from 'sequelize';

/** Makes a model of a shop's rows refuse every query that does not name the shop. */
export function refuseWithoutShop(model: ModelStatic<Model>): void {
	// People are looked up by their address before anyone knows their shop.
	if (!('shopId' in model.rawAttributes) || model.name === 'user') return;
	const refuse = ({ where }: { where?: object }) => {
		if (!where || !('shopId' in where || 'shop_id' in where)) throw new Error(`query without its shop: ${model.name}`);
	};
	model.addHook('beforeFind', refuse as never);
	model.addHook('beforeCount', refuse as never);
	model.addHook('beforeBulkUpdate', refuse as never);
	model.addHook('beforeBulkDestroy', refuse as never);
}
