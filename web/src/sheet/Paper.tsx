import type { Doc, DocBlock } from '@sprocket/core';
import { Say, useTexts } from '../ui/Show.tsx';
import './paper.css';

/** A paper as it will be printed. */
export function Paper({ doc: written }: { doc: Doc }) {
  const doc = useTexts(written);
  return (
    <article className="paper">
      <header>
        <h1>{doc.title}</h1>
        <p className="quiet">
          <Say words={doc.sub} />
        </p>
      </header>
      {doc.blocks.map((block, i) => (
        <Block key={i} block={block} />
      ))}
      <footer>{doc.foot}</footer>
    </article>
  );
}

function Block({ block }: { block: DocBlock }) {
  switch (block.kind) {
    case 'heading':
      return (
        <h2>
          {block.text} {block.sub ? <small>{block.sub}</small> : null}
        </h2>
      );
    case 'text':
      return (
        <p className={block.quiet ? 'quiet' : undefined}>
          {block.strong ? (
            <strong>
              <Say words={block.text} />
            </strong>
          ) : (
            <Say words={block.text} />
          )}
        </p>
      );
    case 'list':
      return (
        <ul>
          {block.items.map((item, i) => (
            <li key={i}>
              <Say words={item} />
            </li>
          ))}
        </ul>
      );
    case 'facts':
      return (
        <dl>
          {block.rows.map((r) => (
            <div key={r.label}>
              <dt>{r.label}</dt>
              <dd>
                <Say words={r.value} />
              </dd>
            </div>
          ))}
        </dl>
      );
    case 'table':
      return (
        <table>
          <caption>{block.caption}</caption>
          <thead>
            <tr>
              {block.heads.map((h, i) => (
                <th key={h} scope="col" className={block.figures?.includes(i) ? 'num' : undefined}>
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {block.rows.map((row, k) => (
              <tr key={k}>
                {row.map((cell, i) => (
                  <td key={i} className={block.figures?.includes(i) ? 'num' : undefined}>
                    <Say words={cell} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      );
    case 'drawing':
      // Drawn by the core for paper, its words escaped there; in the page, so that it prints in the page’s fonts.
      return (
        <div
          className="paper-drawing"
          role="img"
          aria-label={block.alt}
          dangerouslySetInnerHTML={{ __html: block.svg }}
        />
      );
    case 'photos':
      return (
        <div className="paper-photos">
          {block.photos.map((p) => (
            <figure key={p.caption}>
              <img src={p.dataUrl} alt={p.caption} />
              <figcaption>{p.caption}</figcaption>
            </figure>
          ))}
        </div>
      );
    case 'caution':
      return (
        <p className="paper-caution">
          <strong>{block.title}.</strong> <Say words={block.text} /> Ask {block.ask}.
        </p>
      );
    case 'lines':
      return (
        <p className="paper-lines">
          {block.labels.map((l) => (
            <span key={l}>{l}</span>
          ))}
        </p>
      );
  }
}
