export { PlugsScreen as default } from '../../features/plugs/plugs-screen';
