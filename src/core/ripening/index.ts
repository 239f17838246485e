export { KITCHEN_STEPS, ripeningOf, type FlavourChange, type Ripening } from './ripening';
