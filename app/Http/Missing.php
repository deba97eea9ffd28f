<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** An address of the API that names nothing. */
final class Missing
{
    /** @throws NotFoundHttpException */
    public function __invoke(): never
    {
        throw new NotFoundHttpException;
    }
}
