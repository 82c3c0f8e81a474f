import { Injectable } from '@nestjs/common';
import type { UpdatePhotoDto } from '@yugator/contracts';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Person } from '../models/person.model.js';
import { Article, ArticlePhoto } from '../models/shelf.model.js';
import { Photos } from '../photo/photos.js';
import { notFound } from '../problem/problem.js';

/** The paths of the photos of articles, by article; of all where no ids are given. */
export async function articlePhotoPaths(ids?: readonly string[]): Promise<ReadonlyMap<string, string>> {
  const rows = await ArticlePhoto.findAll({
    where: ids ? { articleId: [...ids] } : {},
    attributes: ['articleId', 'revision'],
    raw: true,
  });
  return new Map(
    rows.map(({ articleId, revision }) => [articleId, `/api/articles/${articleId}/photo/${revision}`]),
  );
}

/** Photos of articles. */
@Injectable()
export class ArticlePhotos {
  constructor(
    private readonly work: UnitOfWork,
    private readonly photos: Photos,
  ) {}

  /** Keeps a photo of an article in place of the one before, or takes it away. */
  async update(articleId: string, { jpeg }: UpdatePhotoDto, caller: Person): Promise<void> {
    const [bytes] = jpeg === null ? [] : await this.photos.clean([{ base64: jpeg, pointer: '/jpeg' }]);
    await this.work.run(async () => {
      if (!(await Article.findByPk(articleId, { lock: true }))) throw notFound('article');
      if (bytes) {
        await this.photos.count(1, caller);
        await ArticlePhoto.upsert({ articleId, bytes, revision: uuid() });
      } else await ArticlePhoto.destroy({ where: { articleId } });
      this.work.changed('shelf');
    });
  }

  /** The bytes of a photo that still stands. */
  async bytes(articleId: string, revision: string): Promise<Buffer> {
    const photo = await ArticlePhoto.findOne({ where: { articleId, revision } });
    if (!photo) throw notFound('photo');
    return photo.bytes;
  }
}
