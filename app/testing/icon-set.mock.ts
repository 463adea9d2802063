/** Stands in for the maker of icon sets, as icons.mock does for the sets. */
import NoIcon from './icons.mock';

export default () => NoIcon;
