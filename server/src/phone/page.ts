/** Text within a page. */
export const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** A small page that needs no script: for who is not let in yet. */
export const page = (title: string, body: string): string => `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="theme-color" content="#F0C02C">
<title>${escaped(title)} - Keep Snug</title>
<style>
:root { color-scheme: light dark; --ink: #17262E; --chalk: #F4F6F2; --card: #FFFFFF; --line: #C6CFCA; --sea: #1F6783; --rowan: #B3362B; --faint: #4F5F66 }
@media (prefers-color-scheme: dark) { :root { --ink: #E9EEEA; --chalk: #14191B; --card: #1D2528; --line: #3A464A; --sea: #83C8E2; --rowan: #F3958A; --faint: #A9B8B6 } }
* { box-sizing: border-box }
body { margin: 0; background: var(--chalk); color: var(--ink); font: 17px/1.5 system-ui, sans-serif }
.tape { height: 26px; background: #F0C02C repeating-linear-gradient(90deg, transparent 0 10px, #17262E 10px 11px, transparent 11px 12px); background-size: 100% 10px; background-repeat: no-repeat; background-color: #F0C02C }
main { max-width: 640px; margin: 0 auto; padding: 20px }
h1 { font-size: 30px; line-height: 36px; margin: 12px 0 }
h2 { font-size: 20px; margin: 28px 0 6px }
form, .card { background: var(--card); border: 1px solid var(--line); border-radius: 2px; padding: 16px; margin: 16px 0 }
label { display: block; font-weight: 600; margin-bottom: 4px }
input { width: 100%; min-height: 48px; font: inherit; color: inherit; background: var(--chalk); border: 1px solid var(--faint); border-radius: 4px; padding: 8px 12px; margin-bottom: 14px }
button, .button { display: inline-block; min-height: 48px; font: inherit; font-weight: 700; background: var(--ink); color: var(--chalk); border: 0; border-radius: 2px; padding: 11px 22px; text-decoration: none; cursor: pointer }
a { color: var(--sea); font-weight: 600 }
a.button { color: var(--chalk) }
.fault { border-left: 5px solid var(--rowan); color: var(--rowan); padding: 8px 12px; font-weight: 600 }
.faint { color: var(--faint) }
:focus-visible { outline: 3px solid var(--sea); outline-offset: 2px }
li { margin: 6px 0 }
</style>
</head>
<body>
<div class="tape" aria-hidden="true"></div>
<main>
<h1>${escaped(title)}</h1>
${body}
</main>
</body>
</html>
`;
