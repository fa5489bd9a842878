import { BadRequestException, Body, Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { calculate, CALCULATORS, schemasOf } from '@keen/core';
import { notFound } from '../errors/api-error.js';

/** Every sum of the program, by name. */
@ApiTags('calculators')
@Controller('calc')
export class CalcController {
  /** Names, questions and schemas of all sums. */
  @Get()
  list(): unknown[] {
    return [...CALCULATORS.values()].map((calculator) => ({
      name: calculator.name,
      question: calculator.question,
      ...schemasOf(calculator),
    }));
  }

  @Post(':name')
  @HttpCode(200)
  @ApiOperation({
    summary: 'Runs one sum',
    description: 'GET /api/calc lists the names with their input and output schemas.',
  })
  @ApiBody({ schema: { type: 'object', additionalProperties: true } })
  run(@Param('name') name: string, @Body() input: unknown): unknown {
    const calculator = CALCULATORS.get(name);
    if (!calculator) throw notFound('calculator', name);
    const answer = calculate(calculator, input);
    if (!answer.ok) throw new BadRequestException({ error: answer.error });
    return answer.value;
  }
}
