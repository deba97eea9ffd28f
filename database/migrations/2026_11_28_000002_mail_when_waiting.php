<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('people_users', function (Blueprint $table): void {
            $table->boolean('mail_when_waiting')->default(false)->comment('whoever teaches may ask for a letter when a learner waits');
        });
    }
};
