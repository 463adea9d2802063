export { ImportScreen as default } from '../../features/loggers/import-screen';
