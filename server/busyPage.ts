/** What a browser sees while too many ask at once. It loads nothing and asks again by itself. */
export const busyPage = `<!doctype html>
<html lang="en-GB">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="refresh" content="2">
<title>Busy, Tensidrum</title>
<style>
  :root { color-scheme: light dark; --ground: #f7f9f6; --ink: #12222b; --soft: #40525b; }
  @media (prefers-color-scheme: dark) { :root { --ground: #0e1a20; --ink: #e9f0ee; --soft: #a9bab9; } }
  body { display: grid; place-content: center; min-height: 100vh; margin: 0; padding: 24px; box-sizing: border-box; background: var(--ground); color: var(--ink); font: 20px/1.45 system-ui, sans-serif; }
  h1 { margin: 0 0 8px; font: 500 36px Georgia, serif; }
  p { margin: 0; color: var(--soft); }
</style>
</head>
<body>
<main>
<h1>Busy just now</h1>
<p role="status">Many pages are asked for at once. This one tries again every 2 seconds.</p>
</main>
</body>
</html>
`;
