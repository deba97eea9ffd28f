<?php

declare(strict_types=1);

use App\Http\ApiDescription;
use Illuminate\Support\Facades\Route;

it('describes every route, and no other', function (): void {
    $routes = collect(Route::getRoutes()->getRoutes())->filter(
        fn ($route) => str_starts_with($route->uri(), 'api/') && $route->uri() !== 'api/{missing}',
    )
        ->flatMap(fn ($route) => array_map(fn ($method) => strtolower($method).' /'.$route->uri(), array_diff($route->methods(), ['HEAD'])))
        ->sort()
        ->values()
        ->all();
    $described = collect(app(ApiDescription::class)->document()['paths'])
        ->flatMap(fn ($calls, $path) => array_map(fn ($method) => "$method $path", array_keys($calls)))
        ->sort()
        ->values()
        ->all();
    expect($described)->toBe($routes);
});

it('stands in docs/openapi.json as the rooms have it', function (): void {
    expect(file_get_contents(base_path(ApiDescription::FILE)))->toBe(
        app(ApiDescription::class)->json(),
        'Run php artisan api:describe && npm run types.',
    );
});
