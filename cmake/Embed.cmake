# embed_text(TARGET FILE SYMBOL): compiles FILE into TARGET as `extern const std::string_view yes_square::embedded::SYMBOL`,
# so that the core needs no file on disk for its schema and its catalogue.
function(embed_text target file symbol)
    set_property(DIRECTORY APPEND PROPERTY CMAKE_CONFIGURE_DEPENDS ${file})
    file(READ ${file} text)
    # A raw string literal is limited to 64 KiB in standard C++; pieces of 8,000 characters are joined by the compiler.
    set(body "")
    string(LENGTH "${text}" length)
    set(at 0)
    while(at LESS length)
        string(SUBSTRING "${text}" ${at} 8000 piece)
        string(APPEND body "R\"embedded(${piece})embedded\"\n")
        math(EXPR at "${at} + 8000")
    endwhile()
    set(out ${CMAKE_CURRENT_BINARY_DIR}/${symbol}.cpp)
    file(GENERATE OUTPUT ${out} CONTENT
        "#include <string_view>\nnamespace yes_square::embedded {\nextern const std::string_view ${symbol};\nconst std::string_view ${symbol} =\n${body};\n}\n")
    target_sources(${target} PRIVATE ${out})
endfunction()
