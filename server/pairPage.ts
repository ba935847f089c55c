/** The one page a device sees before it is let in. It loads nothing and tells nothing but that a code is wanted. */
export function pairPage(message: string | null): string {
  return `<!doctype html>
<html lang="en-GB">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Pair this device, Tensidrum</title>
<style>
  :root { color-scheme: light dark; --ground: #f7f9f6; --ink: #12222b; --soft: #40525b; --water: #08706b; --on: #ffffff; --signal: #b5370f; --field: #ffffff; }
  @media (prefers-color-scheme: dark) { :root { --ground: #0e1a20; --ink: #e9f0ee; --soft: #a9bab9; --water: #5cc9be; --on: #0e1a20; --signal: #ff9a6b; --field: #15252c; } }
  body { display: grid; place-content: center; min-height: 100vh; margin: 0; padding: 24px; box-sizing: border-box; background: var(--ground); color: var(--ink); font: 20px/1.45 system-ui, sans-serif; }
  h1 { margin: 0 0 8px; font: 500 36px Georgia, serif; }
  p { max-width: 30em; margin: 0 0 16px; color: var(--soft); }
  [role=alert] { padding-left: 12px; border-left: 6px solid var(--signal); color: var(--ink); }
  form { display: flex; flex-wrap: wrap; gap: 12px; align-items: end; }
  label { display: grid; gap: 4px; }
  input { width: 8.5em; height: 72px; box-sizing: border-box; padding: 0 14px; border: 2px solid var(--soft); border-radius: 6px; background: var(--field); color: inherit; font-size: 40px; letter-spacing: .1em; }
  input.name { width: 12em; font-size: 24px; letter-spacing: 0; }
  button { min-width: 180px; height: 72px; border: 0; border-radius: 4px; background: var(--water); color: var(--on); font-size: 24px; font-weight: 600; }
  a { color: var(--water); }
  :focus-visible { outline: 3px solid var(--water); outline-offset: 2px; }
</style>
</head>
<body>
<main>
<h1>Pair this device</h1>
<p>The code stands on the first screen of Tensidrum, on the machine it runs on.</p>
${message === null ? "" : `<p role="alert">${message}</p>`}
<form method="post" action="/pair">
<label>code <input name="code" inputmode="numeric" autocomplete="one-time-code" maxlength="12" required autofocus></label>
<label>name of this device <input name="name" class="name" autocomplete="off" maxlength="40" placeholder="Bench tablet"></label>
<button type="submit">Pair</button>
</form>
<p><br>The browser keeps the bench for a reload without the network only when this device trusts <a href="/certificate.pem">this machine's certificate</a>. The certificate vouches for the addresses of this one machine and for nothing else, and it expires after 13 months. You can remove it in the settings of this device at any time.</p>
</main>
</body>
</html>
`;
}
