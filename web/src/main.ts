import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import '@fontsource/barlow-condensed/latin-700.css';
import 'vuetify/styles';
import './style/theme.css';
import { leaveHousesUnfrozen } from '@winculum/core';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router';
import { createTheme } from './style/vuetify';

// markRaw does nothing on frozen objects, and a House that Vue walks through is many times slower.
leaveHousesUnfrozen();

createApp(App).use(createPinia()).use(router).use(createTheme()).mount('#app');
