/** Playwright asks for a default export. */
import { prepareDemo } from './prepareDemo';

export default prepareDemo;
