const escaped = (text) =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]);

/** The one page that an unpaired device sees; it shows no data of the workshop. The address may carry the code after its #. */
export function pairPage({ message, nonce }) {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Pair this device</title>
<style nonce="${nonce}">
  body { margin: 0; padding: 2rem 1.25rem; font: 1.125rem/1.5 sans-serif; background: #f4eee1; color: #2c2926; }
  main { max-width: 26rem; margin: 0 auto; }
  label { display: block; margin-top: 1rem; color: #6b6357; }
  input, button { box-sizing: border-box; width: 100%; min-height: 4rem; font: inherit; border: 1px solid #857a66; border-radius: 4px; padding: 0 1rem; background: #fbf7ee; color: #2c2926; }
  button { margin-top: 1.5rem; background: #2f5d4e; color: #fbf7ee; border: 0; font-weight: 600; }
  [role=alert] { border-left: 4px solid #7b3566; padding-left: 0.75rem; }
</style>
</head>
<body>
<main>
<h1>Pair this device</h1>
<p>Create a code in Settings on the computer that runs the server, and type it here. It is valid for five minutes and pairs one device.</p>
${message === undefined ? '' : `<p role="alert">${escaped(message)}</p>`}
<form method="post" action="/pair">
<label for="code">Code</label>
<input id="code" name="code" required maxlength="12" autocomplete="off" autocapitalize="characters">
<label for="name">Name of this device</label>
<input id="name" name="name" maxlength="40" value="Phone at the bench">
<button type="submit">Pair device</button>
</form>
<p>The connection to the server is not encrypted. Pair only in a network that you trust.</p>
</main>
<script nonce="${nonce}">document.getElementById('code').value = location.hash.slice(1);</script>
</body>
</html>
`;
}
