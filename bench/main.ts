/** `npm run bench`: milliseconds are printed as goals; only ratios measured in one run say anything. */
import { startDemo } from '../e2e/demoServer';
import { benchKeyToNeedle } from './keyToNeedle';
import { benchLargeShelf } from './largeShelf';
import { benchKitchenLog } from './kitchenLog';
import { benchBalance } from './balance';
import { benchBigKitchen } from './bigKitchen';
import { benchBatch } from './batch';
import { benchPh } from './phBalance';
import { benchPictureToLayers } from './pictureToLayers';
import { benchLiking } from './liking';
import { benchPlan } from './plan';
import { benchScrub } from './scrub';
import { benchSeparation } from './separation';
import { benchStillness } from './stillness';
import { benchThickness } from './thickness';
import { benchGlass } from './glass';
import { benchReading } from './reading';
import { benchRecalculation } from './recalculation';

benchRecalculation();
benchReading();
benchPh();
benchBalance();
benchBatch();
benchPlan();
benchSeparation();
benchThickness();
benchGlass();
benchLiking();
const server = await startDemo();
try {
  await benchKeyToNeedle(server);
  await benchScrub(server);
  await benchStillness(server);
  await benchPictureToLayers(server);
} finally {
  await server.stop();
}
await benchLargeShelf();
await benchKitchenLog();
await benchBigKitchen();
