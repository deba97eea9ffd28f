<?php

declare(strict_types=1);

namespace App\Content\Http;

use App\Content\Writing\LessonShelf;
use App\Content\Writing\LessonTexts;
use App\Content\Writing\RetireLesson;
use App\Content\Writing\WriteLesson;
use App\Language\Sentences;
use App\Learning\Http\LessonResource;
use App\Learning\Lesson;
use App\People\User;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\App;
use Illuminate\Validation\Rule;
use MillStep\Core\Learning\Drawing\LessonDrawings;
use MillStep\Core\Learning\LessonReading;

/** Writing lessons: what is taught, how it would look, and a version more of it. */
final class LessonWritingController
{
    private const CODE = 'regex:/^[A-Za-z0-9][A-Za-z0-9-]{0,19}$/';

    /** Characters of one text; the longest lesson that ships has a sixth of it. */
    private const MOST = 60_000;

    public function index(LessonShelf $shelf): JsonResponse
    {
        return new JsonResponse([
            'lessons' => $shelf->rows(), 'drawings' => LessonDrawings::names(), 'readings' => LessonReading::KINDS,
        ]);
    }

    public function show(string $code, LessonShelf $shelf, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($shelf->of($code, $user));
    }

    /** The texts of one version, to compare with or to bring back. */
    public function version(string $code, int $version): JsonResponse
    {
        return new JsonResponse(['texts' => LessonShelf::texts(
            Lesson::query()->where('code', $code)->where('version', $version)->firstOrFail(),
        )]);
    }

    /** How it would look to a learner, with this shop's drawings and figures; or everything that is wrong with it. */
    public function preview(Request $request, LessonTexts $texts): JsonResponse
    {
        $given = $this->given($request);
        try {
            $lesson = $texts->read($given['code'], $given['texts'])['lesson'];
            App::setLocale($given['language']);
            $shown = ['lesson' => (new LessonResource($lesson, null))->toArray($request), 'faults' => []];
        } catch (FaultyContent $faulty) {
            $shown = ['lesson' => null, 'faults' => self::faults($faulty)];
        }

        return new JsonResponse($shown);
    }

    public function store(Request $request, string $code, WriteLesson $write, LessonShelf $shelf, #[CurrentUser] User $user): JsonResponse
    {
        $request->merge(['code' => $code]);
        $given = $this->given($request);
        $request->validate(['based_on' => ['required', 'integer', 'between:0,100000']]);
        try {
            $write($code, $given['texts'], $request->integer('based_on'), $user);
        } catch (FaultyContent $faulty) {
            return new JsonResponse(['lesson' => null, 'faults' => self::faults($faulty)]);
        }

        return new JsonResponse(['lesson' => $shelf->of($code, $user), 'faults' => []]);
    }

    public function retire(string $code, RetireLesson $retire): Response
    {
        Lesson::current($code);
        $retire($code, true);

        return response()->noContent();
    }

    public function restore(string $code, RetireLesson $retire): Response
    {
        Lesson::current($code);
        $retire($code, false);

        return response()->noContent();
    }

    /** @return array{code: string, texts: non-empty-array<string, string>, language: string} */
    private function given(Request $request): array
    {
        /** @var array{code: string, texts: non-empty-list<array{language: string, text: string}>, language?: string|null} $given */
        $given = $request->validate([
            'code' => ['required', 'string', self::CODE],
            'texts' => ['required', 'array', 'list', 'min:1', 'max:'.count(Sentences::LANGUAGES)],
            'texts.*.language' => ['required', 'distinct', Rule::in(Sentences::LANGUAGES)],
            'texts.*.text' => ['required', 'string', 'max:'.self::MOST],
            'language' => ['nullable', Rule::in(Sentences::LANGUAGES)],
        ]);
        $texts = array_column($given['texts'], 'text', 'language');

        return ['code' => $given['code'], 'texts' => $texts, 'language' => $given['language'] ?? (string) array_key_first($texts)];
    }

    /** @return list<array<string, mixed>> */
    private static function faults(FaultyContent $faulty): array
    {
        return array_map(static fn (ContentFault $fault): array => $fault->toArray(), $faulty->faults);
    }
}
