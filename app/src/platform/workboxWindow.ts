export * as workboxWindow from 'workbox-window';
