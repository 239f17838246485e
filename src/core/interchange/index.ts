export { inPieces, joined } from './pieces';
export { fromCsv, toCsv, underHeader } from './csv';
export { toMarkdown, toPlainText } from './formulaText';
export { readPasted, type PastedLine } from './pastedRecipe';
export { fromJsonLd, toJsonLd, type RecipeText } from './recipeJsonLd';
