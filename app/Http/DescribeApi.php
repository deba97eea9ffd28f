<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Console\Command;

final class DescribeApi extends Command
{
    protected $signature = 'api:describe';

    protected $description = 'Write docs/openapi.json from the rooms\' api.yaml; then `npm run types` makes the TypeScript types';

    public function handle(ApiDescription $description): int
    {
        file_put_contents(base_path(ApiDescription::FILE), $description->json());

        return self::SUCCESS;
    }
}
