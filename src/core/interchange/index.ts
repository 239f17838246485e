export { inPieces, joined } from './pieces';
export { escapeCell, fromCsv, toCsv, underHeader, unescapeCell, type CsvReading } from './csv';
export { toMarkdown, toPlainText } from './formulaText';
export { readPasted, type Confidence, type PastedLine, type PastedRecipe } from './pastedRecipe';
export { fromJsonLd, toJsonLd, type JsonLdReading, type RecipeJsonLd, type RecipeText } from './recipeJsonLd';
