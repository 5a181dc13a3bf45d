// Brings the database that DATABASE_URL names up to date.
import { connect } from '@exetasis/server/db/connection';
import { migrate } from '@exetasis/server/db/migrate';

const { sequelize } = connect();
const done = await migrate(sequelize);
if (done.length > 0) console.log(`Database migrated: ${done.join(', ')}`);
await sequelize.close();
