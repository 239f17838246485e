export { bodyIndexOf, isCreamy } from './body';
export { formulaFromStyle, recipeLines, type RecipeLine } from './startFromStyle';
export { STYLE_IDS, STYLE_RECIPES, type StyleId } from './styleRecipes';
