/** What the page tells. */
export interface TrustFacts {
  readonly nonce: string;
  /** where Yugator is, under TLS */
  readonly secure: string;
  readonly siteName: string;
  readonly authorityPath: string;
  readonly fingerprint: string;
  /** codes to scan, as SVG: of this page, and of Yugator itself */
  readonly codeOfThis: string;
  readonly codeOfApp: string;
}

function escaped(text: string): string {
  const names: Record<string, string> = {
    '&': '&amp;',
    '<': '&lt;',
    '>': '&gt;',
    '"': '&quot;',
    "'": '&#39;',
  };
  return text.replaceAll(/[&<>"']/g, (letter) => names[letter] ?? '');
}

/** A phone with lines on its screen; `marked` is the one to press, `isSwitched` shows a switch that is on there. */
function phone(lines: readonly string[], marked: number, isSwitched = false): string {
  const rows = lines.map((line, at) => {
    const y = 34 + at * 26;
    const isMarked = at === marked;
    const box = `<rect x="14" y="${y}" width="112" height="21" rx="3" class="${isMarked ? 'press' : 'row'}"/>`;
    const words = `<text x="20" y="${y + 14}"${isMarked ? ' class="pressed"' : ''}>${escaped(line)}</text>`;
    const knob = isMarked && isSwitched ? `<circle cx="116" cy="${y + 10.5}" r="6" class="knob"/>` : '';
    return `${box}${words}${knob}`;
  });
  return `<svg viewBox="0 0 140 190" aria-hidden="true"><rect x="6" y="6" width="128" height="178" rx="12" class="case"/><path d="M56 18h28" class="ear"/>${rows.join('')}</svg>`;
}

interface Step {
  readonly words: string;
  readonly picture: string;
}

function stepsOf(title: string, steps: readonly Step[]): string {
  const items = steps.map(({ words, picture }) => `<li>${picture}<p>${words}</p></li>`).join('');
  return `<section><h2>${title}</h2><ol class="steps">${items}</ol></section>`;
}

const ANDROID: readonly Step[] = [
  {
    words: 'Press <b>Get the certificate</b> above; it is kept among the downloads.',
    picture: phone(['Trust Yugator', 'Get the certificate'], 1),
  },
  {
    words:
      'In the settings of the phone search for <b>CA certificate</b> and open <b>Install a certificate</b>.',
    picture: phone(['Settings', 'Security', 'Install certificate', 'CA certificate'], 3),
  },
  {
    words:
      'The phone warns; that is right of it. Go on, and choose <b>yugator-authority</b> from the downloads.',
    picture: phone(['Downloads', 'yugator-authority'], 1),
  },
];

const IPHONE: readonly Step[] = [
  {
    words: 'Press <b>Get the certificate</b> above and allow it. The phone says that a profile was loaded.',
    picture: phone(['Trust Yugator', 'Get the certificate'], 1),
  },
  {
    words: 'In the settings press <b>Profile loaded</b>, then <b>Install</b>.',
    picture: phone(['Settings', 'Profile loaded', 'Install'], 2),
  },
  {
    words: 'Under General, About, <b>Certificate trust settings</b>, switch <b>Yugator</b> on.',
    picture: phone(['General', 'About', 'Trust settings', 'Yugator'], 3, true),
  },
];

const DESK: readonly Step[] = [
  {
    words:
      'Get the certificate. In the settings of the browser search for <b>certificates</b>, open the authorities and import it, for websites.',
    picture: phone(['Certificates', 'Authorities', 'Import'], 2),
  },
];

const STYLE = `
:root{color-scheme:light dark;--chalk:#f6f3ec;--sheet:#fffefb;--line:#dcd6c8;--ink:#1d2326;--soft:#5b6266;--copper:#a14f27;--on:#fff}
@media(prefers-color-scheme:dark){:root{--chalk:#191714;--sheet:#211e1a;--line:#3d3831;--ink:#f0ebe0;--soft:#b3aca0;--copper:#e08d5c;--on:#1d130c}}
*{box-sizing:border-box}body{margin:0 auto;max-width:860px;padding:16px;background:var(--chalk);color:var(--ink);font:17px/1.4 sans-serif}
h1{font-size:25px;line-height:1.2;margin:8px 0}h2{font-size:19px;margin:28px 0 8px}p{margin:6px 0}.soft{color:var(--soft)}
a.act{display:inline-flex;align-items:center;min-height:52px;padding:0 20px;margin:6px 8px 6px 0;border:1.5px solid var(--ink);border-radius:4px;color:var(--ink);background:var(--sheet);font-weight:700;text-decoration:none}
a.first{background:var(--copper);border-color:var(--copper);color:var(--on)}
a:focus-visible{outline:3px solid var(--copper);outline-offset:2px}
ol.steps{list-style:none;margin:0;padding:0;display:grid;grid-template-columns:repeat(auto-fit,minmax(220px,1fr));gap:12px;counter-reset:step}
ol.steps li{display:grid;grid-template-columns:96px 1fr;gap:12px;align-items:start;background:var(--sheet);border:1px solid var(--line);padding:10px;counter-increment:step}
ol.steps p::before{content:counter(step) ". ";font-weight:700}
.codes{display:flex;flex-wrap:wrap;gap:24px}.codes figure{margin:0;width:176px}.codes svg{width:176px;height:176px;background:#fff}.codes figcaption{font-size:15px}
code{font-size:14px;overflow-wrap:anywhere}
svg .case{fill:var(--chalk);stroke:var(--ink);stroke-width:2}svg .ear{stroke:var(--ink);stroke-width:2}
svg .row{fill:var(--sheet);stroke:var(--line)}svg .press{fill:var(--copper)}svg .knob{fill:var(--on)}
svg text{font:10.5px sans-serif;fill:var(--ink)}svg .pressed{fill:var(--on);font-weight:700}
`;

/** How to trust this machine: the certificate to get, and what to press on which phone. */
export function trustHtml(facts: TrustFacts): string {
  const { nonce, secure, siteName, authorityPath, codeOfThis, codeOfApp } = facts;
  const site = escaped(siteName);
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1">
<title>Trust Yugator</title><style nonce="${nonce}">${STYLE}</style></head><body><main>
<h1>Let this device trust Yugator of ${site}</h1>
<p>Once for each phone. Then everything between it and the shed is sealed, and it works without signal too.</p>
<p><a class="act first" href="${authorityPath}">Get the certificate</a><a class="act" href="${escaped(secure)}/">It is trusted: open Yugator</a></p>
<p class="soft">Before you go on, compare with what the computer in the shed printed when Yugator started (SHA-256):</p>
<p><code>${escaped(facts.fingerprint)}</code></p>
<p class="soft">If they differ, stop and tell the crew lead: somebody may stand between.</p>
${stepsOf('On an Android phone', ANDROID)}
${stepsOf('On an iPhone', IPHONE)}
${stepsOf('On a computer', DESK)}
<h2>For the next phone</h2>
<div class="codes"><figure>${codeOfThis}<figcaption>1. This page: trust first</figcaption></figure>
<figure>${codeOfApp}<figcaption>2. Yugator: ${escaped(secure)}</figcaption></figure></div>
</main></body></html>
`;
}
