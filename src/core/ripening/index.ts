export { KITCHEN_STEPS, ripeningOf, type ChangeCode, type FlavourChange, type Ripening } from './ripening';
