<?php

declare(strict_types=1);

namespace Tests;

use App\Competency\Permit;
use App\Http\ApiDescription;
use App\People\Http\FromWhom;
use App\People\Role;
use App\People\User;
use App\Policy\Policy;
use Database\Factories\UserFactory;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\ParallelTesting;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;

/** A shop without people, and every answer of the API held against its description. */
abstract class TestCase extends BaseTestCase
{
    use RefreshDatabase;

    private const DOCUMENT = 'https://mill-step.example/openapi.json';

    /** @var class-string */
    protected $seeder = ShopSeeder::class;

    private static ?Validator $validator = null;

    protected function setUp(): void
    {
        parent::setUp();
        // Processes beside each other have a file each, as they have a database each.
        config(['millstep.anchors' => config('millstep.anchors').ParallelTesting::token()]);
        @unlink((string) config('millstep.anchors'));
    }

    public const ALWAYS = [['days' => [1, 2, 3, 4, 5, 6, 7], 'from' => '00:00', 'to' => '24:00']];

    /** Puts other settings in force, from now on. */
    public function policy(array $settings): void
    {
        Policy::query()->create(['settings' => [...Policy::settingsInForce(), ...$settings], 'in_force_from' => now()]);
    }

    /** As the front end does it: every command of a person says whom it is from. */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        $from = 'HTTP_'.str_replace('-', '_', strtoupper(FromWhom::HEADER));
        $user = Auth::guard('web')->user();
        if ($user !== null && ! isset($server[$from])) {
            $server[$from] = (string) $user->id;
        }

        return parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
    }

    public function createApplication()
    {
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    public function person(Role $role = Role::Learner, array $with = []): User
    {
        return UserFactory::new()->role($role)->create($with)->refresh();
    }

    public function instructor(bool $signs = true): User
    {
        $instructor = UserFactory::new()->instructor()->create()->refresh();
        $signs && $instructor->signsFor()->attach(Permit::query()->pluck('id'));

        return $instructor;
    }

    public function permit(): Permit
    {
        return Permit::query()->with('statements')->where('code', 'drill-through-10')->firstOrFail();
    }

    /** @param  \Illuminate\Http\Response  $response */
    protected function createTestResponse($response, $request): TestResponse
    {
        $this->holdAgainstDescription($request, $response);

        return parent::createTestResponse($response, $request);
    }

    private function holdAgainstDescription(Request $request, $response): void
    {
        $route = $request->route();
        if ($route === null || ! str_starts_with($route->uri(), 'api/') || $route->uri() === 'api/{missing}') {
            return;
        }
        static $document = null;
        $document ??= json_decode((string) file_get_contents(base_path(ApiDescription::FILE)));
        $path = '/'.$route->uri();
        $operation = $document->paths->{$path}->{strtolower($request->method())} ?? null;
        Assert::assertNotNull($operation, "The description does not know {$request->method()} $path.");
        $status = (string) $response->getStatusCode();
        $known = $operation->responses->{$status} ?? ($response->getStatusCode() >= 400 ? $operation->responses->default : null);
        Assert::assertNotNull($known, "The description does not know that {$request->method()} $path answers $status.");
        if (! isset($known->content)) {
            return;
        }
        if (self::$validator === null) {
            self::$validator = new Validator;
            self::$validator->resolver()?->registerRaw($document, self::DOCUMENT);
        }
        $result = self::$validator->validate(
            json_decode((string) $response->getContent()),
            (object) ['$ref' => self::DOCUMENT.$known->content->{'application/json'}->schema->{'$ref'}],
        );
        Assert::assertTrue(
            $result->isValid(),
            "{$request->method()} $path answers something else than described: ".json_encode(
                $result->isValid() ? null : (new ErrorFormatter)->format($result->error()),
            ),
        );
    }
}
