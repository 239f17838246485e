export { inPieces, joined } from './pieces';
export { fromCsv, toCsv, underHeader } from './csv';
export { toMarkdown, toPlainText } from './formulaText';
export { asideOf, headingOf, type AsideReason, type Section } from './sections';
export { readPasted, type PastedLine, type PastedRecipe } from './pastedRecipe';
export { fromJsonLd, toJsonLd, type RecipeText } from './recipeJsonLd';
export { stagesIn, stageTexts } from './stages';
