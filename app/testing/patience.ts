/** What a screen waits for may take long on a busy machine: the limit only ends what hangs. */
import { configure } from '@testing-library/react-native';

configure({ asyncUtilTimeout: 120_000 });
