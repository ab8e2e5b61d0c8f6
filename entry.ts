// What a page begins with: the parts that its address shows come side by side, then all of it is shown at once.
import '@expo/metro-runtime'; // first, for Fast Refresh
import 'expo-router/build/fast-refresh';
import { renderRootComponent } from 'expo-router/build/renderRootComponent';
import { arrived, Routes } from './routes';
import { BASE } from './store/base';

const show = () => renderRootComponent(Routes);
arrived(location.pathname.slice(BASE.length)).then(show, show); // what is missing is told where it would be shown
