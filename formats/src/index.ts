/** Formats that are read anywhere. Bundles, which need Node.js, are '@dulvan/formats/bundle' and '/earlier-bundle'. */
export * from './attachments';
export * from './own-knowledge';
export * from './epw';
export * from './eulumdat';
export * from './lamp-file';
export * from './logged-checks';
export * from './logger-file';
export * from './logger-table';
export * from './lm63';
export * from './photometry-file';
export * from './parsed';
