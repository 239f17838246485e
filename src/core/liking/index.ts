export { JARS, learnLiking, type Liking } from './liking';
export { jarsToMake, type JarToMake } from './jarsToMake';
export { SAID, TASTED, type Chip, type LikedJar } from './taster';
