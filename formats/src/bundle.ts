/** The bundle: a zip of open formats, streamed both ways. A door of its own, since it needs Node.js. */
export { BundleRefused, type BundledEntry, type BundledSamples, type BundlePart } from './bundle-parts';
export { readBundle, versionMessage } from './bundle-reading';
export { writeBundle, type BundledHome } from './bundle-writing';
