export { LoggersScreen as default } from '../../features/loggers/loggers-screen';
