export { FilesScreen as default } from '../../features/light/files-screen';
