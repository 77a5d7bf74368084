// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest';
import { cleanPaste } from './paste';

/*
 * What three kinds of source put on the clipboard, written by hand for this test after what such
 * sources are known to write (from memory): a word processor that writes conditional comments and
 * mso styles, one that wraps everything in a bold that is not bold, and a web page.
 */

const officeLike = `<html xmlns:o="urn:office"><head><meta charset="utf-8">
<style><!-- p.MsoNormal {margin:0cm; font-size:11.0pt;} --></style>
<!--[if gte mso 9]><xml><w:WordDocument></w:WordDocument></xml><![endif]--></head>
<body lang="EN-GB"><!--StartFragment-->
<p class="MsoNormal"><b><span style='font-size:14.0pt;color:#1F4E79'>Spring launch</span></b><o:p></o:p></p>
<p class="MsoListParagraphCxSpFirst" style='text-indent:-18.0pt;mso-list:l0 level1 lfo1'><![if !supportLists]><span style='font-family:Symbol;mso-list:Ignore'>·<span>&nbsp;&nbsp;</span></span><![endif]>Bring the mast</p>
<p class="MsoListParagraphCxSpMiddle" style='mso-list:l0 level2 lfo1'><![if !supportLists]><span style='mso-list:Ignore'>o<span>&nbsp;</span></span><![endif]>and the stays</p>
<p class="MsoListParagraphCxSpLast" style='mso-list:l0 level1 lfo1'><![if !supportLists]><span style='mso-list:Ignore'>·<span>&nbsp;</span></span><![endif]>Bring lunch</p>
<p class="MsoNormal" style='mso-hide:all'>hidden</p>
<table class="MsoTableGrid" border="1"><tr><td width="300" valign="top"><p class="MsoNormal">Day</p></td><td colspan="2"><p class="MsoNormal">Time</p></td></tr></table>
<!--EndFragment--></body></html>`;

const wrappedInBold = `<meta charset='utf-8'><b style="font-weight:normal;" id="guid-1"><h2 dir="ltr" style="line-height:1.38"><span style="font-size:16pt;font-weight:400">Launch</span></h2><p dir="ltr"><span style="font-weight:700;font-style:italic">Dear all</span><span style="text-decoration:underline">, soon</span></p><ol style="margin:0"><li dir="ltr" style="list-style-type:decimal"><p dir="ltr" role="presentation"><span>first</span></p></li></ol></b>`;

const webPage = `<div class="article" onclick="track()"><script>alert(1)</script><style>p{color:red}</style>
<h4>News</h4><p style="color:#ff0000" onmouseover="x()">See <a href="https://quay.example/news" target="_blank" class="link">the news</a>, <a href="javascript:alert(1)">not this</a> and <a href="data:text/html,x">not that</a>.</p>
<img src="https://quay.example/boat.png" alt="A boat" onerror="x()" srcset="x 2x"><img src="data:image/png;base64,AAAA"><iframe srcdoc="<p>x</p>"></iframe><form><input name="card"><button>Pay</button></form><svg onload="x()"><script>x()</script></svg></div>`;

const bare = (html: string) => html.replace(/\s+/g, ' ').replaceAll('> <', '><').trim();

describe('what is pasted', () => {
  it('keeps the structure of a document with conditional comments, and its lists', () => {
    expect(bare(cleanPaste(officeLike))).toBe(
      '<p><b>Spring launch</b></p>' +
        '<ul><li>Bring the mast<ul><li>and the stays</li></ul></li><li>Bring lunch</li></ul>' +
        '<table><tbody><tr><td><p>Day</p></td><td colspan="2"><p>Time</p></td></tr></tbody></table>'
    );
  });
  it('is not bold because everything was wrapped in a bold that is not', () => {
    expect(bare(cleanPaste(wrappedInBold))).toBe(
      '<h2>Launch</h2><p><strong><em>Dear all</em></strong><u>, soon</u></p>' +
        '<ol><li><p>first</p></li></ol>'
    );
  });
  it('holds nothing that could run', () => {
    const clean = bare(cleanPaste(webPage));
    expect(clean).toBe(
      '<h3>News</h3><p>See <a href="https://quay.example/news">the news</a>, <a>not this</a> and ' +
        '<a>not that</a>.</p><img src="https://quay.example/boat.png" alt="A boat">'
    );
  });
  it('leaves merge fields that were copied as text', () => {
    expect(cleanPaste('<p>Dear {{first_name or "friend"}},</p>')).toBe(
      '<p>Dear {{first_name or "friend"}},</p>'
    );
  });
});
