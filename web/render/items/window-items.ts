/** The items that windows are worked by: their code comes with the first of them. */
export { ClearViewItem } from './clear-view/clear-view.tsx';
export { FrontMenusItem } from './front-menus/front-menus.tsx';
export { FrontTitleItem } from './front-title/front-title.tsx';
export { OpenWindowsItem } from './open-windows/open-windows.tsx';
export { OverviewItem } from './overview/overview.tsx';
