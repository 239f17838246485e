import { checkNode, ensureBuilt, ensureInstalled, runForeground } from './setup.mjs';

checkNode();
ensureInstalled();
ensureBuilt();
runForeground(['--import', 'tsx', 'bench/main.ts']);
