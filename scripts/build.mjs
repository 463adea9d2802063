/** npm run build: installs what is missing and builds the app when it is stale. */
import { checkNode, ensureBuilt, ensureInstalled } from './prepare.mjs';

checkNode();
ensureInstalled();
await ensureBuilt();
