import { testKills } from './testing/killTest';

testKills(100);
